import type { ClearingRule } from '../clearance/clearing-rule';
import type {
  Flight,
  OccurrenceOfPilot,
  DebriefPage,
  PilotPage,
  Roster,
  SchoolDrillVersion,
  SchoolExperience,
  TodayList,
  TrainingSession,
  WeaknessPage,
} from './pages';

/** Nothing was changed since this version was taken along. */
export interface SameAsBefore {
  readonly version: string;
  readonly same: true;
}

/** Everything a trainer may want where there is no signal, in one answer. */
export interface PrefetchPage {
  /** Given back when it is asked for again; absent from an older server. */
  readonly version?: string;
  readonly same?: never;
  readonly today: TodayList;
  readonly roster: Roster;
  readonly flights: readonly Flight[];
  readonly experience: SchoolExperience;
  readonly rule: ClearingRule;
  readonly sessions: readonly TrainingSession[];
  readonly drills: readonly SchoolDrillVersion[];
  readonly weakness: Readonly<Record<string, WeaknessPage>>;
  readonly occurrence: Readonly<Record<string, OccurrenceOfPilot>>;
  readonly debrief: Readonly<Record<string, DebriefPage>>;
  readonly pilot: Readonly<Record<string, PilotPage>>;
}
