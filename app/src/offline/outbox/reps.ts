import { recordRep, takeRepBack } from '@skelby/core/commands/handles';
import type { RepFields } from '@skelby/core/commands/record-rep';
import { entryOf } from './commands';
import { outbox } from './use-outbox';

/** Sends a rep. @param what as the list of what waits calls it: "rep of Clock hover" */
export const sendRep = (id: string, rep: RepFields, what: string): void =>
  void outbox.add(entryOf(recordRep, { id }, rep, what));

/** Takes a rep back. @param drillName as the list of what waits calls it */
export const sendUndo = (id: string, drillName: string, reason: string): void =>
  void outbox.add(entryOf(takeRepBack, { id }, { reason }, `undo of a rep of ${drillName}`));
