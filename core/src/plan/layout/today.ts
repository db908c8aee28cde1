import type { FindDrill } from '../../drills/drills';
import type { CauseId } from '../../causes/causes';
import type { Clearance } from '../../clearance/clearance';
import { type ClearingRule } from '../../clearance/clearing-rule';
import type { FliesIn } from '../../clearance/counts-for-test';
import type { Rep } from '../../clearance/facts';
import { type DrillId } from '../../drills/drills';
import type { Methods } from '../../methods/methods';
import type { Day } from '../../vocabulary/day';
import type { Place } from '../../vocabulary/flying';
import { type Restricting } from '../../restrictions/restrictions';
import type { Said } from '../../vocabulary/said';
import type { ProposedBlock } from './block';
import type { CourseToday } from './course-today';

export interface WeaknessToday {
  readonly weaknessId: string;
  readonly causeId: CauseId;
  readonly drillIds: readonly DrillId[];
  readonly rule: ClearingRule;
  readonly clearance: Clearance;
  /** How bad it may end next time, 1 to 5; 3 where nobody has said. */
  readonly severity: number;
}

export interface PilotToday {
  readonly pilotId: string;
  readonly windLimitMps: number;
  /** Absent: not known. */
  readonly flies?: FliesIn;
  readonly weaknesses: readonly WeaknessToday[];
  /** Drills shown before anything was counted; absent: none. */
  readonly shown?: readonly DrillId[];
  /** How the pilot is taught; absent: the usual way. */
  readonly methods?: Methods;
  /** What was said of the pilot on the course; absent: not on it. */
  readonly course?: CourseToday;
  /** Everything the pilot has flown, for whichever weakness. */
  readonly reps: readonly (Rep & { readonly level?: number })[];
}

export interface Conditions {
  readonly windMps: number;
  readonly place: Place | null;
}

/** A drill that is not offered as a block, and why. */
export interface NotToday {
  readonly pilotId: string;
  readonly drillId: DrillId | null;
  /** Null: of the course. */
  readonly causeId: CauseId | null;
  readonly said: Said;
  /** It may not be flown, rather than that it is not its turn. */
  readonly refused: boolean;
}

/** Work that takes no pack: spoken and ground drills, and the simulator. */
export interface BeforeFlying {
  readonly pilotId: string;
  /** Null: for the course. */
  readonly weaknessId: string | null;
  readonly drillId: DrillId;
  readonly said: Said;
}

export interface Candidates {
  readonly blocks: readonly ProposedBlock[];
  readonly notToday: readonly NotToday[];
  readonly beforeFlying: readonly BeforeFlying[];
}

/** A pilot, and what the day allows. */
export interface Around {
  readonly pilot: PilotToday;
  readonly conditions: Conditions;
  readonly today: Day;
  readonly restricting: readonly Restricting[];
  readonly findDrill: FindDrill;
}
