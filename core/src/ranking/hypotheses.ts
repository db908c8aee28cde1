import { type CauseId, CAUSES } from '../causes/causes';
import { LEADS_TO } from './pairs';

export const CAUSE_IDS: readonly CauseId[] = CAUSES.map((cause) => cause.id);
const indexOf = (id: CauseId): number => CAUSE_IDS.indexOf(id);

/** What may have happened: one cause, or one that led to another. */
export interface Hypothesis {
  /** Where its causes stand in `CAUSE_IDS`. */
  readonly first: number;
  readonly second: number | null;
  /** Of the occurrences that begin with the first, those that go on as the second; 0 for one cause alone. */
  readonly share: number;
}

/** Single causes first, in the order of `CAUSE_IDS`; then what leads to what. */
export const HYPOTHESES: readonly Hypothesis[] = [
  ...CAUSE_IDS.map((_, first) => ({ first, second: null, share: 0 })),
  ...Object.entries(LEADS_TO).flatMap(([id, then]) =>
    Object.entries(then).map(([next, share]) => ({
      first: indexOf(id as CauseId),
      second: indexOf(next as CauseId),
      share,
    })),
  ),
];

/** All pairs together hold so much of the probability before anything is asked. */
const PAIRS_HOLD = 0.2;

/** One number for each hypothesis, in their order. */
export type PerHypothesis = Float64Array;

/** Probabilities of the hypotheses before anything is asked. @param prior of each cause; they sum to 1 */
export function hypothesisPrior(prior: Float64Array): PerHypothesis {
  const pairs = HYPOTHESES.map(({ first, share }) => prior[first]! * share);
  const all = pairs.reduce((sum, each) => sum + each, 0);
  return Float64Array.from(HYPOTHESES, ({ first, second }, h) =>
    second === null ? (1 - PAIRS_HOLD) * prior[first]! : (PAIRS_HOLD * pairs[h]!) / all,
  );
}

/** Sums over everything that begins with a cause. @param chance of each hypothesis */
export function byFirst(chance: PerHypothesis): Float64Array {
  const sums = new Float64Array(CAUSE_IDS.length);
  for (let h = 0; h < HYPOTHESES.length; h += 1) {
    const { first } = HYPOTHESES[h]!;
    sums[first] = sums[first]! + chance[h]!;
  }
  return sums;
}
