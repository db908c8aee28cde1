import { isQuestionId } from '@skelby/core/evidence/questions';
import { answersOf } from '../core/src/evidence/evidence';
import { craftFacts, USUAL_CRAFT } from '../core/src/vocabulary/craft-facts';
import { CASES } from '../core/src/ranking/cases';
import { USUAL_ANSWERS } from '../core/src/causes/usual-answers';
import type { Evidence } from '../core/src/evidence/evidence';
import { rank } from '../core/src/ranking/rank';
import { clopperPearson } from '../core/src/rates/exact-interval';
import { chanceFrom } from '../server/src/demo/chance';

export interface Accuracy {
  readonly cases: number;
  readonly first: number;
  readonly firstThree: number;
  /** Mean over cases of the sum over causes of (probability − truth)². */
  readonly brier: number;
  /** By how sure the first cause was: from, to, how many, and how many of them right. */
  readonly reliability: readonly {
    readonly from: number;
    readonly to: number;
    readonly cases: number;
    readonly right: number;
    readonly said: number;
  }[];
}

const BINS = [0, 0.2, 0.4, 0.6, 0.8, 0.9, 1] as const;
const CRAFT = craftFacts(USUAL_CRAFT);

/** Usual answers to questions that the case says nothing about: what a real debrief also holds. */
function withNoise(evidence: Evidence, answers: number, chance: () => number): Evidence {
  const noisy: Record<string, Evidence[string]> = { ...evidence };
  const open = Object.keys(USUAL_ANSWERS)
    .filter(isQuestionId)
    .filter((id) => !(id in evidence));
  for (let i = 0; i < answers; i += 1) {
    const id = open.splice(Math.floor(chance() * open.length), 1)[0]!;
    let left = chance() * 20;
    noisy[id] =
      Object.entries(USUAL_ANSWERS[id]!).find(([, count]) => {
        left -= count;
        return left <= 0;
      })?.[0] ?? Object.keys(USUAL_ANSWERS[id]!)[0]!;
  }
  return noisy;
}

/**
 * How often the ranking names the case's cause, and how far its probabilities can be believed.
 * @param noise usual answers thrown into each case
 */
export function measureAccuracy(noise = 0): Accuracy {
  const chance = chanceFrom(11);
  const ranked = CASES.map(({ cause, evidence }) => ({
    cause,
    causes: rank(answersOf(withNoise(evidence, noise, chance)), CRAFT).causes,
  }));
  const place = (each: (typeof ranked)[number]) => each.causes.findIndex(({ id }) => id === each.cause);
  const brier =
    ranked.reduce(
      (sum, { cause, causes }) =>
        sum + causes.reduce((of, { id, probability }) => of + (probability - (id === cause ? 1 : 0)) ** 2, 0),
      0,
    ) / ranked.length;
  const reliability = BINS.slice(1).map((to, i) => {
    const from = BINS[i]!;
    const inside = ranked.filter(
      ({ causes }) => causes[0]!.probability > from && causes[0]!.probability <= to,
    );
    return {
      from,
      to,
      cases: inside.length,
      right: inside.filter((each) => place(each) === 0).length,
      said: inside.reduce((sum, { causes }) => sum + causes[0]!.probability, 0) / Math.max(1, inside.length),
    };
  });
  return {
    cases: ranked.length,
    first: ranked.filter((each) => place(each) === 0).length,
    firstThree: ranked.filter((each) => place(each) < 3).length,
    brier,
    reliability,
  };
}

const percent = (share: number) => `${(share * 100).toFixed(0)} %`;

/** "62 of 65, 95 %, 95 % interval 87 to 99 %" (Clopper and Pearson). */
export function sayShare(right: number, of: number): string {
  const { low, high } = clopperPearson(right, of);
  return `${right} of ${of}, ${percent(right / of)}, 95 % interval ${percent(low)} to ${percent(high)}`;
}
