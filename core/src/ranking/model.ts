import type { CauseId } from '../causes/causes';
import { CAUSE_LIKELIHOODS } from '../causes/likelihoods';
import { USUAL_ANSWERS, USUAL_SIGNS } from '../causes/usual-answers';
import { QUESTIONS } from '../evidence/questions';
import { SIGNS } from '../evidence/signs';
import { type Experience, NO_EXPERIENCE } from './experience';
import { CAUSE_IDS, HYPOTHESES, hypothesisPrior, type PerHypothesis } from './hypotheses';

/** Every table counts out of this many occurrences; a school's own add to them one by one. */
export const PSEUDO_COUNT = 20;

/** A sign that is asked about is expected to come out this sure. */
export const SURE = 0.93;

/** What one outcome means: how likely it is under each hypothesis, and how much it speaks for each. */
export interface WeighedOutcome {
  readonly likelihood: PerHypothesis;
  /** Natural logarithm of how much likelier it is under each hypothesis than on the whole. */
  readonly weights: PerHypothesis;
}

export interface Model {
  /** Probability of each cause before anything is asked. */
  readonly prior: Float64Array;
  /** Logarithm of the probability of each hypothesis before anything is asked. */
  readonly logPrior: PerHypothesis;
  /** By question and value. */
  readonly answer: ReadonlyMap<string, ReadonlyMap<string, WeighedOutcome>>;
  /** Probability that a sign holds under each hypothesis. */
  readonly sign: ReadonlyMap<string, PerHypothesis>;
  /** What a sign says when it holds with this chance; worked out once for each chance that comes up often. */
  readonly signWeights: (signId: string, chance: number) => PerHypothesis;
  /** What it says that an answer is one of several, which it was not said. */
  readonly oneOf: (questionId: string, values: readonly string[]) => WeighedOutcome;
}

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

/** Logarithm of how much likelier something is under each hypothesis than on the whole. */
function weightsOf(prior: PerHypothesis, likelihood: PerHypothesis): PerHypothesis {
  let onTheWhole = 0;
  for (let h = 0; h < prior.length; h += 1) onTheWhole += prior[h]! * likelihood[h]!;
  return likelihood.map((each) => Math.max(-MOST, Math.min(MOST, Math.log(each / onTheWhole))));
}

/** Likelihood of a sign that holds with some chance only (Jeffrey's rule): the two cases mixed. */
const mixed = (holds: PerHypothesis, chance: number): PerHypothesis =>
  holds.map((each) => chance * each + (1 - chance) * (1 - each));

/** Certainties and what a question is expected to show: these come up hundreds of times for one screen. */
const KEPT: ReadonlySet<number> = new Set([0, 1, SURE, 1 - SURE]);

type Chances = ReadonlyMap<string, number>;

/**
 * How a question is answered when one cause led to another: as the one has it that names the question; where both do,
 * whichever member explains an answer better.
 */
function chancesOfPair(first: Chances, second: Chances, names: readonly [boolean, boolean]): Chances {
  if (!names[1]) return first;
  if (!names[0]) return second;
  const greater = [...first].map(([value, chance]) => [value, Math.max(chance, second.get(value)!)] as const);
  const all = greater.reduce((sum, [, chance]) => sum + chance, 0);
  return new Map(greater.map(([value, chance]) => [value, chance / all]));
}

/** A sign of a pair: each member makes it hold by itself, beyond what is usual (noisy-or). */
function signOfPair(first: number, second: number, usual: number): number {
  if (first <= usual && second <= usual) return Math.max(first, second);
  const beyond = (chance: number) => Math.max(0, (chance - usual) / (1 - usual));
  return 1 - (1 - usual) * (1 - beyond(first)) * (1 - beyond(second));
}

/** Answers to a question under each cause, and which causes have something of their own to say about it. */
function answersByCause(questionId: string, experience: Experience) {
  const usual = USUAL_ANSWERS[questionId as keyof typeof USUAL_ANSWERS]!;
  const named = (id: CauseId) =>
    CAUSE_LIKELIHOODS[id].answers[questionId as keyof typeof USUAL_ANSWERS] ?? null;
  const own = (id: CauseId) => experience.answers[id]?.[questionId];
  return {
    chances: CAUSE_IDS.map((id) => chances(startingCounts(usual, named(id) ?? {}), own(id))),
    names: CAUSE_IDS.map((id) => named(id) !== null || own(id) !== undefined),
  };
}

/** Starting weights with a school's own experience added. */
export function modelWith(experience: Experience = NO_EXPERIENCE): Model {
  const counts = CAUSE_IDS.map((id) => CAUSE_LIKELIHOODS[id].prior + (experience.causes[id] ?? 0));
  const all = counts.reduce((sum, each) => sum + each, 0);
  const prior = Float64Array.from(counts, (count) => count / all);
  const before = hypothesisPrior(prior);
  const weighed = (likelihood: PerHypothesis): WeighedOutcome => ({
    likelihood,
    weights: weightsOf(before, likelihood),
  });
  const answer = new Map<string, ReadonlyMap<string, WeighedOutcome>>();
  for (const question of QUESTIONS) {
    if (question.kind !== 'choice') continue;
    const { chances: byCause, names } = answersByCause(question.id, experience);
    const under = HYPOTHESES.map(({ first, second }) =>
      second === null
        ? byCause[first]!
        : chancesOfPair(byCause[first]!, byCause[second]!, [names[first]!, names[second]!]),
    );
    const outcomes = question.values.map(
      (value) => [value, weighed(Float64Array.from(under, (each) => each.get(value)!))] as const,
    );
    answer.set(question.id, new Map(outcomes));
  }
  const sign = new Map(
    SIGNS.map(({ id: signId }) => {
      const byCause = CAUSE_IDS.map((id) => {
        const held = CAUSE_LIKELIHOODS[id].signs[signId] ?? USUAL_SIGNS[signId]!;
        const own = experience.signs[id]?.[signId];
        return (held + (own?.held ?? 0)) / (PSEUDO_COUNT + (own?.told ?? 0));
      });
      const usual = USUAL_SIGNS[signId]! / PSEUDO_COUNT;
      const under = HYPOTHESES.map(({ first, second }) =>
        second === null ? byCause[first]! : signOfPair(byCause[first]!, byCause[second]!, usual),
      );
      return [signId, Float64Array.from(under)];
    }),
  );
  const kept = new Map<string, PerHypothesis>();
  const keep = (name: string, weights: () => PerHypothesis): PerHypothesis => {
    const there = kept.get(name) ?? weights();
    kept.set(name, there);
    return there;
  };
  return {
    prior,
    logPrior: before.map(Math.log),
    answer,
    sign,
    signWeights: (signId, chance) => {
      const weights = () => weightsOf(before, mixed(sign.get(signId)!, chance));
      return KEPT.has(chance) ? keep(`${signId} ${chance}`, weights) : weights();
    },
    oneOf: (questionId, values) => {
      const each = values.map((value) => answer.get(questionId)!.get(value)!.likelihood);
      return weighed(Float64Array.from(HYPOTHESES, (_, h) => each.reduce((sum, one) => sum + one[h]!, 0)));
    },
  };
}
