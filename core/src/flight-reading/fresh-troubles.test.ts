import { answersOf } from '../evidence/evidence';
import { LIKELY_FROM } from '../ranking/stance';
import { rank } from '../ranking/rank';
import { recordStory } from '../second-model/flights';
import { FRESH_TROUBLES } from '../second-model/fresh-troubles';
import type { Recorder } from '../second-model/recorder';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { evidenceFrom } from './read-flight';

// Kinds of trouble that no reader was worked on, flown by the second model.

const FACTS = craftFacts(USUAL_CRAFT);

const judged = (leavesOut: Recorder['leavesOut']) =>
  FRESH_TROUBLES.flatMap((make) =>
    [0, 1, 2, 3, 4, 5, 6, 7].map((nth) => {
      const recorder = { hz: [50, 20, 10, 25][nth % 4]!, wanderM: [0.1, 0.5, 1][nth % 3]!, leavesOut };
      const { log, atS, ended, solids } = recordStory(make(nth), recorder, 1_000 + 7 * nth);
      const evidence = evidenceFrom({ track: log, cuts: [], atS, ended, facts: FACTS, solids });
      const [first] = rank(answersOf(evidence), FACTS).causes;
      return { said: first!.probability, right: first!.id === make(nth).cause };
    }),
  );
const share = (of: readonly { readonly right: boolean }[]) =>
  of.filter(({ right }) => right).length / of.length;

test('causes come first in kinds that nobody tuned to, and what is called likely is so', () => {
  const [all, few] = [judged([]), judged(['sticks', 'wind', 'hold'])];
  expect(share(all)).toBeGreaterThanOrEqual(0.85);
  expect(share(few)).toBeGreaterThanOrEqual(0.65);
  const likely = [...all, ...few].filter(({ said }) => said >= LIKELY_FROM);
  expect(likely.length).toBeGreaterThan(40);
  expect(share(likely)).toBeGreaterThanOrEqual(0.97);
});
