import type { Side } from '../drills/drill';
import type { DrillId } from '../drills/drills';
import type { Day } from '../vocabulary/day';
import type { TestCurve } from './chart-test';
import type { DrillTally } from './check-tally';
import type { CoverageCell } from './coverage';
import type { Watch } from './watch';

/** Where a weakness stands on its way from opened to closed. */
export const WEAKNESS_STATES = [
  'open',
  'drilling',
  'ready-for-check',
  'watch',
  'closed',
  'withdrawn',
] as const;
export type WeaknessState = (typeof WEAKNESS_STATES)[number];

/** What clearing takes, in the order in which it is met. */
export const RUNGS = ['test', 'coverage', 'days', 'kept', 'signed'] as const;
export type RungId = (typeof RUNGS)[number];

export interface Rung {
  readonly id: RungId;
  readonly met: boolean;
  /** How much of the rung is filled, 0 to 1. */
  readonly share: number;
}

/** One chart: a key drill, and one of its sides where it has them. */
export interface Chart {
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly curve: TestCurve;
}

export interface Check {
  /** First day on which a check counts. */
  readonly from: Day;
  readonly drills: readonly DrillTally[];
  readonly passed: boolean;
}

export interface Clearance {
  readonly state: WeaknessState;
  readonly signedEarly: boolean;
  /** Signed as cleared, and with what came in later it was not: absent in the first edition. */
  readonly isUnproven?: boolean;
  readonly rungs: readonly Rung[];
  readonly charts: readonly Chart[];
  readonly coverage: readonly CoverageCell[];
  readonly days: readonly { readonly drillId: DrillId; readonly days: readonly Day[] }[];
  /** Null until test, coverage and days are met. */
  readonly check: Check | null;
  /** From the signature on; null before it. */
  readonly watch: Watch | null;
  /** Called back by the relapse chart since the last signature. */
  readonly relapsed: boolean;
  /** Checks failed since the weakness was last opened; each starts the test again. */
  readonly failedChecks: number;
  /** Confirmed causes after a signed clearance, and the one that opened it: each is a test of its own. */
  readonly openings: number;
  /** Days and reps of tests since this opening, retries included; empty in the first edition, which does not know. */
  readonly spent: readonly (Pick<Chart, 'drillId' | 'side'> & {
    readonly days: number;
    readonly reps: number;
  })[];
  /** The reps with which they failed. */
  readonly failedAt: readonly string[];
  /** Live reps since the chart last started, of any purpose. */
  readonly reps: number;
}
