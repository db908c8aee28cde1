import type { DrillId } from '../drills/drills';
import type { CauseId } from '../causes/causes';
import type { ClearingRule } from '../clearance/clearing-rule';
import type { Move, Rep, WeaknessFacts } from '../clearance/facts';
import { keyDrillsOfPlan } from '../plan/propose-plan';

/** A weakness as it is kept: what was written down, with nothing worked out. */
export interface KeptWeakness<R extends Rep = Rep> {
  readonly causeId: CauseId;
  readonly pilot: WeaknessFacts['pilot'];
  readonly rule: ClearingRule;
  readonly moves: readonly Move[];
  /** Reps of its pilot: its own, and those flown for other weaknesses. */
  readonly reps: readonly R[];
  /** Drills of the plan in force. */
  readonly drillIds: readonly DrillId[];
  /** Reps with which a check failed, as they were judged at the time. */
  readonly failedAt: readonly string[];
}

/** The facts that decide where a weakness stands, for phone and server alike. */
export const factsOf = ({
  causeId,
  pilot,
  rule,
  moves,
  reps,
  drillIds,
  failedAt,
}: KeptWeakness): WeaknessFacts => ({
  causeId,
  pilot,
  rule,
  moves,
  reps,
  keyDrills: keyDrillsOfPlan(causeId, pilot.mode, drillIds),
  failedAt,
});
