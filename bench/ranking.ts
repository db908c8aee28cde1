import { isQuestionId } from '@skelby/core/evidence/questions';
import { answersOf } from '../core/src/evidence/evidence';
import { craftFacts, USUAL_CRAFT } from '../core/src/vocabulary/craft-facts';
import { CASES } from '../core/src/ranking/cases';
import { USUAL_ANSWERS } from '../core/src/causes/usual-answers';
import type { Evidence } from '../core/src/evidence/evidence';
import { rank } from '../core/src/ranking/rank';
import { type Accuracy, accuracyOf, type Bin, reliabilityOf } from './accuracy';
import { chanceFrom } from '../server/src/demo/chance';

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
export function measureAccuracy(noise = 0): Accuracy & { readonly reliability: readonly Bin[] } {
  const chance = chanceFrom(11);
  const judged = CASES.map(({ cause, evidence }) => ({
    cause,
    causes: rank(answersOf(withNoise(evidence, noise, chance)), CRAFT).causes,
  }));
  return { ...accuracyOf(judged), reliability: reliabilityOf(judged, BINS) };
}
