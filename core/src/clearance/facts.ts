import type { DrillId } from '../drills/drills';
import type { CauseId } from '../causes/causes';
import type { Side } from '../drills/drill';
import type { Day } from '../vocabulary/day';
import type { FlightMode } from '../vocabulary/flying';
import type { WindBand } from '../vocabulary/wind-band';
import type { ClearingRule } from './clearing-rule';

/** Practice teaches, test reps move the chart, check reps show that it was kept. */
export const PURPOSES = ['practice', 'test', 'check'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** One attempt at a drill's standard. */
export interface Rep {
  readonly id: string;
  readonly drillId: DrillId;
  readonly purpose: Purpose;
  readonly met: boolean;
  readonly side: Side | null;
  readonly band: WindBand;
  readonly flownOn: 'craft' | 'simulator';
  readonly mode: FlightMode;
  readonly pilotRelative: boolean;
  /** Width of an opening, in spans of the craft; null or absent: not told. */
  readonly widthSpans?: number | null;
  readonly day: Day;
  /** Instant, ISO 8601. */
  readonly flownAt: string;
  /** The announced set it belongs to; null or absent: none. */
  readonly testSetId?: string | null;
  readonly takenBack: boolean;
  /** Taken back, and somebody else than who recorded it says so too: absent until then. */
  readonly takenBackConfirmed?: boolean;
}

export const MOVE_KINDS = [
  'opened',
  'occurrence-added',
  'reopened',
  'signed',
  'signed-early',
  'closed',
  'undone',
] as const;
export type MoveKind = (typeof MOVE_KINDS)[number];

/** One step in the life of a weakness. Moves are only ever added. */
export interface Move {
  readonly id: string;
  readonly kind: MoveKind;
  /** Instant, ISO 8601. */
  readonly at: string;
  readonly reason: string | null;
  /** For `undone`: the move that is taken back. */
  readonly undoes: string | null;
  /** For a confirmation: sides of deciding drills on which it happened; null, absent or empty: not known. */
  readonly happenedOn?: readonly Side[] | null;
}

/** What a pilot flies with. */
export interface Flies {
  readonly mode: FlightMode;
  readonly windLimitMps: number;
  /** Also with position hold off: drills that have a form of their own for that are decided by it. Absent: no. */
  readonly holdOff?: boolean;
}

/** What a pilot flies with, as it was when a weakness was opened: a change of the pilot does not change it. */
export interface OpeningStamp extends Flies {
  /** Instant from which it is in force, ISO 8601. */
  readonly at: string;
}

/** So many tests of one chart, announced to the pilot before the first of them. */
export interface TestSet {
  readonly id: string;
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly number: number;
  readonly day: Day;
  /** Instant, ISO 8601. */
  readonly at: string;
  /** When what had no result was called off; null: it was not. */
  readonly calledOffAt: string | null;
}

/** Drills that decide from an instant on. */
export interface Deciding {
  /** Instant, ISO 8601. */
  readonly at: string;
  readonly keyDrills: readonly DrillId[];
}

export interface WeaknessFacts {
  readonly causeId: CauseId;
  /** Flown drills of the plan whose test reps decide. */
  readonly keyDrills: readonly DrillId[];
  readonly pilot: Flies;
  /** Oldest first; absent or empty: as the pilot is now. The second edition. */
  readonly stamps?: readonly OpeningStamp[];
  /** Which drills decided when, oldest first; absent: these from the first. The second edition. */
  readonly deciding?: readonly Deciding[];
  /** Announced tests; absent or empty: none were announced. The second edition. */
  readonly sets?: readonly TestSet[];
  readonly rule: ClearingRule;
  readonly moves: readonly Move[];
  readonly reps: readonly Rep[];
  /**
   * Reps with which a check failed, as they were judged when they were flown: they stay failures whatever is
   * changed about the pilot later.
   */
  readonly failedAt?: readonly string[];
}

/** Why a rep was missed, in the two taps a trainer has for it. */
export const MISS_REASONS = [
  'wrong-first-move',
  'off-the-mark',
  'height',
  'nose',
  'too-fast',
  'too-late',
  'sensor-stopped-it',
  'taken-over',
] as const;
export type MissReason = (typeof MISS_REASONS)[number];
