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
  readonly day: Day;
  /** Instant, ISO 8601. */
  readonly flownAt: string;
  readonly takenBack: boolean;
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
}

export interface WeaknessFacts {
  readonly causeId: CauseId;
  /** Flown drills of the plan whose test reps decide. */
  readonly keyDrills: readonly DrillId[];
  readonly pilot: { readonly mode: FlightMode; readonly windLimitMps: number };
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
