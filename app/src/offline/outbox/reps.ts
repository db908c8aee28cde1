import { announceTests, callOffTests, recordRep, takeRepBack } from '@skelby/core/commands/handles';
import type { TestSetFields } from '@skelby/core/commands/announce-tests';
import type { RepFields } from '@skelby/core/commands/record-rep';
import { entryOf } from './commands';
import { outbox } from './use-outbox';

/** Sends a rep. @param what as the list of what waits calls it: "rep of Clock hover" */
export const sendRep = (id: string, rep: RepFields, what: string): void =>
  void outbox.add(entryOf(recordRep, { id }, rep, what));

/** Announces tests before the first of them. */
export const sendAnnounced = (weaknessId: string, setId: string, set: TestSetFields): void =>
  void outbox.add(entryOf(announceTests, { id: weaknessId, setId }, set, 'announced tests'));

/** Calls off what was announced and has no result. */
export const sendCalledOff = (weaknessId: string, setId: string): void =>
  void outbox.add(
    entryOf(
      callOffTests,
      { id: weaknessId, setId },
      { at: new Date().toISOString() },
      'announced tests called off',
    ),
  );

/** Takes a rep back. @param drillName as the list of what waits calls it */
export const sendUndo = (id: string, drillName: string, reason: string): void =>
  void outbox.add(entryOf(takeRepBack, { id }, { reason }, `undo of a rep of ${drillName}`));
