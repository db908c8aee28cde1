import type { AnyCommand } from '@skelby/core/commands/command';
import type { CommandNamed, TrainerCommandName } from '@skelby/core/commands/commands';
import { RIGHT_OF } from '@skelby/core/people/roles';
import type { SchoolTx } from '../db/in-school';
import { assertMay } from '../problem/may';
import { assertDayNotFuture, assertNotFuture } from '../facts/when';
import { assertPlain } from '../problem/plain';
import { badField } from '../problem/problem';
import { announceTests, callOffTests } from './announce-tests';
import { changePlan } from './change-plan';
import { confirmCause } from './confirm-cause';
import { confirmRepError } from './confirm-rep-error';
import type { GivenCommand, Handler } from './handler';
import { handOver } from './hand-over';
import { keepFlown } from './keep-flown';
import { logOccurrence } from './log-occurrence';
import { moveWeakness } from './move-weakness';
import { recordCourseFact } from './record-course-fact';
import { recordRep } from './record-rep';
import { revokeLink } from './revoke-link';
import { saveDebrief } from './save-debrief';
import { saveDrillVersion } from './save-drill-version';
import { saveCraftRecord, saveFlightRecord, savePilotRecord, saveSiteRecord } from './save-records';
import { saveSession } from './save-session';
import { setRule } from './set-rule';
import {
  setMethodsOfSchool,
  setReportingOfSchool,
  setRetentionOfSchool,
  setUnitsOfSchool,
  switchExperienceOfSchool,
} from './school-settings';
import { settleHistory, undoSettling } from './settle-history';
import { stampWeakness } from './stamp-weakness';
import { takeConfirmationBack } from './take-confirmation-back';
import { takeRepBack } from './take-rep-back';
import { withdrawOccurrence } from './withdraw-occurrence';

const HANDLERS: { readonly [Name in TrainerCommandName]: Handler<CommandNamed<Name>> } = {
  'record-rep': recordRep,
  'record-course-fact': recordCourseFact,
  'take-rep-back': takeRepBack,
  'log-occurrence': logOccurrence,
  'keep-flown': keepFlown,
  'withdraw-occurrence': withdrawOccurrence,
  'confirm-cause': confirmCause,
  'take-confirmation-back': takeConfirmationBack,
  'save-debrief': saveDebrief,
  'change-plan': changePlan,
  'stamp-weakness': stampWeakness,
  'announce-tests': announceTests,
  'call-off-tests': callOffTests,
  'confirm-rep-error': confirmRepError,
  'move-weakness': moveWeakness,
  'save-pilot': savePilotRecord,
  'save-craft': saveCraftRecord,
  'save-site': saveSiteRecord,
  'save-flight': saveFlightRecord,
  'save-session': saveSession,
  'save-drill-version': saveDrillVersion,
  'set-units': setUnitsOfSchool,
  'set-methods': setMethodsOfSchool,
  'set-rule': setRule,
  'set-reporting': setReportingOfSchool,
  'set-retention': setRetentionOfSchool,
  'switch-experience': switchExperienceOfSchool,
  'settle-history': settleHistory,
  'undo-settling': undoSettling,
  'revoke-link': revokeLink,
  'hand-over': handOver,
};

/**
 * Looks a command over before it is done: its shape, its rule, and that no clock ran a day ahead.
 * @throws ValidationError, Problem 422 naming the field
 */
export async function given<C extends AnyCommand>(
  command: C,
  keys: GivenCommand<C>['keys'],
  body: unknown,
): Promise<GivenCommand<C>> {
  assertPlain(body);
  const fields = (await command.schema(keys).validate(body, { abortEarly: false })) as Record<
    string,
    unknown
  >;
  if (command.stamp !== null) {
    if (fields[command.stamp] !== undefined) assertNotFuture(command.stamp, String(fields[command.stamp]));
    if (typeof fields['day'] === 'string') assertDayNotFuture(fields['day']);
  }
  const refusal = command.rule(fields, keys);
  if (refusal) throw badField(refusal.field, refusal.said);
  return { keys, fields: fields as GivenCommand<C>['fields'], body };
}

/** Does what a trainer asks for: the one way to a handler, for a request that comes alone and for a batch. */
export async function carryOut<C extends AnyCommand>(
  school: SchoolTx,
  command: C,
  keys: GivenCommand<C>['keys'],
  body: unknown,
): Promise<unknown> {
  const name = command.name as TrainerCommandName;
  assertMay(school, RIGHT_OF[name]);
  const handler = HANDLERS[name] as unknown as Handler<C>;
  return handler(school, await given(command, keys, body));
}

/** Whether a trainer may ask for it; a pilot's own comes by their link, and never in a trainer's batch. */
export const isOfTrainer = (command: AnyCommand): boolean => command.by === 'trainer';
