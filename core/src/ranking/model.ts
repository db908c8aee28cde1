import { type CauseId, CAUSES } from '../causes/causes';
import { CAUSE_LIKELIHOODS } from '../causes/likelihoods';
import { USUAL_ANSWERS, USUAL_SIGNS } from '../causes/usual-answers';
import { QUESTIONS } from '../evidence/questions';
import { SIGNS } from '../evidence/signs';
import { type Experience, NO_EXPERIENCE } from './experience';

/** Every table counts out of this many occurrences; a school's own add to them one by one. */
export const PSEUDO_COUNT = 20;

/** A sign that is asked about is expected to come out this sure. */
export const SURE = 0.93;

export const CAUSE_IDS: readonly CauseId[] = CAUSES.map((cause) => cause.id);
const N = CAUSE_IDS.length;

/** One number per cause, in the order of `CAUSE_IDS`. */
export type PerCause = Float64Array;

/** What one outcome means: how likely it is under each cause, and how much it speaks for each. */
export interface WeighedOutcome {
  readonly likelihood: PerCause;
  /** Natural logarithm of how much likelier it is under each cause than on the whole. */
  readonly weights: PerCause;
}

export interface Model {
  /** Probability of each cause before anything is asked. */
  readonly prior: PerCause;
  /** Its logarithm. */
  readonly logPrior: PerCause;
  /** By question and value. */
  readonly answer: ReadonlyMap<string, ReadonlyMap<string, WeighedOutcome>>;
  /** Probability that a sign holds under each cause. */
  readonly sign: ReadonlyMap<string, PerCause>;
  /** What a sign says when it holds with this chance; worked out once for each chance that comes up often. */
  readonly signWeights: (signId: string, chance: number) => PerCause;
}

const perCause = (of: (id: CauseId) => number): PerCause => Float64Array.from(CAUSE_IDS, of);

/**
 * Pseudo-counts of a question's values under one cause: those named stand, and what they leave of the twenty
 * is shared
 * by the rest as usual.
 */
function startingCounts(
  usual: Readonly<Record<string, number>>,
  named: Readonly<Record<string, number>>,
): Readonly<Record<string, number>> {
  const namedSum = Object.values(named).reduce((sum, each) => sum + each, 0);
  const others = Object.entries(usual).filter(([value]) => named[value] === undefined);
  const othersSum = others.reduce((sum, [, count]) => sum + count, 0);
  const left = Math.max(0, PSEUDO_COUNT - namedSum);
  return {
    ...named,
    ...Object.fromEntries(others.map(([value, count]) => [value, (left * count) / othersSum])),
  };
}

/** Probabilities by the Dirichlet rule: (pseudo-count + count) / (their sums). */
function chances(
  counts: Readonly<Record<string, number>>,
  own: Readonly<Record<string, number>> = {},
): ReadonlyMap<string, number> {
  const sum = Object.entries(counts).reduce((all, [value, count]) => all + count + (own[value] ?? 0), 0);
  return new Map(Object.entries(counts).map(([value, count]) => [value, (count + (own[value] ?? 0)) / sum]));
}

/** No single answer counts for more than this, for or against: nobody is that sure of what they saw. */
const MOST = 4;

/** Logarithm of how much likelier something is under each cause than on the whole. */
function weightsOf(prior: PerCause, likelihood: PerCause): PerCause {
  let onTheWhole = 0;
  for (let c = 0; c < N; c += 1) onTheWhole += prior[c]! * likelihood[c]!;
  return likelihood.map((each) => Math.max(-MOST, Math.min(MOST, Math.log(each / onTheWhole))));
}

/** Likelihood of a sign that holds with some chance only (Jeffrey's rule): the two cases mixed. */
const mixed = (holds: PerCause, chance: number): PerCause =>
  holds.map((each) => chance * each + (1 - chance) * (1 - each));

/** Certainties and what a question is expected to show: these come up hundreds of times for one screen. */
const KEPT: ReadonlySet<number> = new Set([0, 1, SURE, 1 - SURE]);

/** Starting weights with a school's own experience added. */
export function modelWith(experience: Experience = NO_EXPERIENCE): Model {
  const counts = CAUSE_IDS.map((id) => CAUSE_LIKELIHOODS[id]!.prior + (experience.causes[id] ?? 0));
  const all = counts.reduce((sum, each) => sum + each, 0);
  const prior = Float64Array.from(counts, (count) => count / all);
  const answer = new Map<string, ReadonlyMap<string, WeighedOutcome>>();
  for (const question of QUESTIONS) {
    if (question.kind !== 'choice') continue;
    const usual = USUAL_ANSWERS[question.id]!;
    const byCause = CAUSE_IDS.map((id) =>
      chances(
        startingCounts(usual, CAUSE_LIKELIHOODS[id]!.answers[question.id] ?? {}),
        experience.answers[id]?.[question.id],
      ),
    );
    answer.set(
      question.id,
      new Map(
        question.values.map(({ id: value }) => {
          const likelihood = Float64Array.from(byCause, (each) => each.get(value)!);
          return [value, { likelihood, weights: weightsOf(prior, likelihood) }];
        }),
      ),
    );
  }
  const sign = new Map(
    SIGNS.map(({ id: signId }) => [
      signId,
      perCause((id) => {
        const held = CAUSE_LIKELIHOODS[id]!.signs[signId] ?? USUAL_SIGNS[signId]!;
        const own = experience.signs[id]?.[signId];
        return (held + (own?.held ?? 0)) / (PSEUDO_COUNT + (own?.told ?? 0));
      }),
    ]),
  );
  const kept = new Map<string, PerCause>();
  const signWeights = (signId: string, chance: number): PerCause => {
    if (!KEPT.has(chance)) return weightsOf(prior, mixed(sign.get(signId)!, chance));
    const name = `${signId} ${chance}`;
    const there = kept.get(name) ?? weightsOf(prior, mixed(sign.get(signId)!, chance));
    kept.set(name, there);
    return there;
  };
  return { prior, logPrior: prior.map(Math.log), answer, sign, signWeights };
}
