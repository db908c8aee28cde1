import type { OccurrenceFields } from '../schemas/records';
import type { FlownAnswers } from '../schemas/flown';
import type { CraftFields, FlightFields, PilotFields, SiteFields } from '../schemas/records';
import type { RuleFields } from '../schemas/rule';
import type { HandOverFields } from './hand-over';
import type { SessionFields } from '../schemas/session';
import type { Stamp } from '../sync/batch';
import type { Methods } from '../methods/methods';
import type { Units } from '../vocabulary/units';
import { type Address, addressOf } from './address';
import type { TestSetFields } from './announce-tests';
import type { CallOffFields } from './call-off-tests';
import type { PlanFields } from './change-plan';
import type { ConfirmFields } from './confirm-cause';
import type { MoveFields } from './move-weakness';
import type { NearMissFields, OwnRepFields, OwnViewFields } from './of-a-pilot';
import type { CourseFactFields } from './record-course-fact';
import type { RepFields } from './record-rep';
import type { DebriefFields } from './save-debrief';
import type { DrillVersionFields } from './save-drill-version';
import type { ReportingFields } from './set-reporting';
import type { SettlingFields } from './settle-history';
import type { StampFields } from './stamp-weakness';
import type { UnconfirmFields } from './take-confirmation-back';

/**
 * Name, address and clock stamp of everything that can be done. Shapes and rules stand in one file a command:
 * apart, because the phone's first page names commands, and should not wait for what checks them.
 */

export interface Handle<Name extends string, Pattern extends string, Body> {
  readonly name: Name;
  readonly address: Address<Pattern>;
  /** Who may ask for it: a trainer who is signed in, or whoever holds a pilot's private link. */
  readonly by: 'trainer' | 'pilot';
  /** The field of the body that the clock of whoever asks fills in; null where there is none. */
  readonly stamp: Stamp | null;
  /** Only for the compiler: the body that belongs to it. */
  readonly body?: Body;
}

const handle =
  <Body>() =>
  <const Name extends string, const Pattern extends string>(
    name: Name,
    pattern: Pattern,
    stamp: Stamp | null = null,
    by: 'trainer' | 'pilot' = 'trainer',
  ): Handle<Name, Pattern, Body> => ({ name, address: addressOf(pattern), by, stamp });

interface Reason {
  readonly reason: string;
}

export const recordRep = handle<RepFields>()('record-rep', '/reps/:id', 'flownAt');
export const recordCourseFact = handle<CourseFactFields>()(
  'record-course-fact',
  '/pilots/:id/course/:factId',
  'at',
);
export const takeRepBack = handle<Reason>()('take-rep-back', '/reps/:id/taken-back');
export const logOccurrence = handle<OccurrenceFields>()('log-occurrence', '/occurrences/:id', 'happenedAt');
export const keepFlown = handle<FlownAnswers>()('keep-flown', '/occurrences/:id/flown');
export const withdrawOccurrence = handle<Reason>()('withdraw-occurrence', '/occurrences/:id/withdrawn');
export const confirmCause = handle<ConfirmFields>()('confirm-cause', '/occurrences/:id/confirmation', 'at');
export const takeConfirmationBack = handle<UnconfirmFields>()(
  'take-confirmation-back',
  '/occurrences/:id/confirmation/taken-back',
  'at',
);
export const saveDebrief = handle<DebriefFields>()(
  'save-debrief',
  '/occurrences/:id/debrief/:versionId',
  'at',
);
export const changePlan = handle<PlanFields>()('change-plan', '/weaknesses/:id/plans/:planId', 'at');
export const moveWeakness = handle<MoveFields>()('move-weakness', '/weaknesses/:id/moves/:moveId', 'at');
export const stampWeakness = handle<StampFields>()('stamp-weakness', '/weaknesses/:id/stamps/:stampId', 'at');
export const announceTests = handle<TestSetFields>()(
  'announce-tests',
  '/weaknesses/:id/test-sets/:setId',
  'at',
);
export const callOffTests = handle<CallOffFields>()(
  'call-off-tests',
  '/weaknesses/:id/test-sets/:setId/called-off',
  'at',
);
export const confirmRepError = handle<Reason>()('confirm-rep-error', '/reps/:id/error-confirmed');
export const savePilot = handle<PilotFields>()('save-pilot', '/pilots/:id');
export const saveCraft = handle<CraftFields>()('save-craft', '/craft/:id');
export const saveSite = handle<SiteFields>()('save-site', '/sites/:id');
export const saveFlight = handle<FlightFields>()('save-flight', '/flights/:id');
export const saveSession = handle<SessionFields>()('save-session', '/sessions/:id');
export const saveDrillVersion = handle<DrillVersionFields>()(
  'save-drill-version',
  '/drills/:drillId/versions/:id',
);
export const setUnits = handle<Units>()('set-units', '/school/units');
export const setMethods = handle<Methods>()('set-methods', '/school/methods');
export const setRule = handle<RuleFields>()('set-rule', '/school/rules/:id');
export const setReporting = handle<ReportingFields>()('set-reporting', '/school/reporting');
export const setRetention = handle<{
  readonly keepYears: number | null;
  readonly flightMonths?: number | null;
}>()('set-retention', '/school/retention');
export const switchExperience = handle<{ readonly enabled: boolean }>()('switch-experience', '/experience');
export const handOver = handle<HandOverFields>()('hand-over', '/pilots/:id/trainers');
export const settleHistory = handle<SettlingFields>()('settle-history', '/settlings/:id');
export const undoSettling = handle<object>()('undo-settling', '/settlings/:id/undone');
export const revokeLink = handle<object>()('revoke-link', '/links/:id/revoked');
export const recordOwnRep = handle<OwnRepFields>()('record-own-rep', '/own/reps/:id', 'flownAt', 'pilot');
export const tellNearMiss = handle<NearMissFields>()(
  'tell-near-miss',
  '/own/near-miss/:id',
  'happenedAt',
  'pilot',
);
export const sayOfWeakness = handle<OwnViewFields>()('say-of-weakness', '/own/said/:id', 'at', 'pilot');
