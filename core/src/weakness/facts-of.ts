import type { DrillId } from '../drills/drills';
import type { CauseId } from '../causes/causes';
import type { ClearingRule } from '../clearance/clearing-rule';
import type { Deciding, Move, OpeningStamp, Rep, TestSet, WeaknessFacts } from '../clearance/facts';
import { keyDrillsOfPlan } from '../plan/propose-plan';

/** Drills that were put in force for a weakness, and when. */
export interface KeptPlan {
  readonly drillIds: readonly DrillId[];
  /** Those of them that decide, as it was when the plan was made; absent or null: as the cause has them now. */
  readonly decides?: readonly DrillId[] | null;
  /** Instant, ISO 8601. */
  readonly madeAt: string;
}

/** A weakness as it is kept: what was written down, with nothing worked out. */
export interface KeptWeakness<R extends Rep = Rep> {
  readonly causeId: CauseId;
  /** The pilot as now: decides where nothing was stamped. */
  readonly pilot: WeaknessFacts['pilot'];
  /** Oldest first. */
  readonly stamps: readonly OpeningStamp[];
  readonly rule: ClearingRule;
  readonly moves: readonly Move[];
  /** Reps of its pilot: its own, and those flown for other weaknesses. */
  readonly reps: readonly R[];
  /** Newest first. */
  readonly plans: readonly KeptPlan[];
  /** Reps with which a check failed, as they were judged at the time. */
  readonly failedAt: readonly string[];
  /** Oldest first. */
  readonly sets?: readonly TestSet[];
}

const lastBy = <T>(items: readonly T[], at: (item: T) => string, instant: string): T | undefined =>
  items.findLast((item) => at(item) <= instant) ?? items[0];

/** Which drills decided when: they change with the plan, and with the mode that was stamped. */
function decidingOf({ causeId, pilot, stamps, plans }: KeptWeakness): readonly Deciding[] {
  const oldestFirst = [...plans].reverse();
  const instants = [
    ...new Set([...oldestFirst.map(({ madeAt }) => madeAt), ...stamps.map(({ at }) => at)]),
  ].sort();
  const all = instants.map((at) => {
    const plan = lastBy(oldestFirst, ({ madeAt }) => madeAt, at);
    const { mode } = lastBy(stamps, (stamp) => stamp.at, at) ?? pilot;
    return { at, keyDrills: keyDrillsOfPlan(causeId, mode, plan?.drillIds ?? [], plan?.decides) };
  });
  return all.filter(({ keyDrills }, i) => i === 0 || keyDrills.join() !== all[i - 1]!.keyDrills.join());
}

/** The facts that decide where a weakness stands, for phone and server alike. */
export function factsOf(kept: KeptWeakness): WeaknessFacts {
  const { causeId, rule, moves, reps, plans, failedAt, stamps, sets } = kept;
  const { mode, windLimitMps, holdOff = false } = stamps.at(-1) ?? kept.pilot;
  return {
    causeId,
    pilot: { mode, windLimitMps, holdOff },
    rule,
    moves,
    reps,
    stamps,
    deciding: decidingOf(kept),
    keyDrills: keyDrillsOfPlan(causeId, mode, plans[0]?.drillIds ?? [], plans[0]?.decides),
    failedAt,
    ...(sets ? { sets } : {}),
  };
}
