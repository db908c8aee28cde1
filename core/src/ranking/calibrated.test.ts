import { drawFrom } from '../clearance/evidence/simulated';
import { answersOf } from '../evidence/evidence';
import { clopperPearson } from '../rates/exact-interval';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import type { Case } from './cases';
import { FOURTH_TOLD_CASES } from './cases-told-fourth';
import { rank } from './rank';
import { oneWrong, strongestLost } from './stressed';

// Reliability by bins with exact intervals (Clopper and Pearson 1934), on stories after which nothing was moved.

const CRAFT = craftFacts(USUAL_CRAFT);
const draw = drawFrom(8);
const FILES: Readonly<Record<string, readonly Case[]>> = {
  'as told': FOURTH_TOLD_CASES,
  'one answer wrong': Array.from({ length: 8 }, () => oneWrong(FOURTH_TOLD_CASES, draw)).flat(),
  'the strongest lost': strongestLost(FOURTH_TOLD_CASES, CRAFT),
};

const judged = (cases: readonly Case[]) =>
  cases.map(({ cause, evidence }) => {
    const [first] = rank(answersOf(evidence), CRAFT).causes;
    return { said: first!.probability, right: first!.id === cause };
  });

describe.each(Object.entries(FILES))('stories that nobody tuned to, %s', (_, cases) => {
  const all = judged(cases);
  test.each([
    [0.4, 0.6],
    [0.6, 0.8],
    [0.8, 1],
  ])('what is said between %d and %d is right about so often', (from, to) => {
    const inside = all.filter(({ said }) => said > from && said <= to);
    const right = inside.filter((each) => each.right).length;
    const { low, high } = clopperPearson(right, inside.length);
    expect(inside.length).toBeGreaterThan(0);
    expect(low).toBeLessThanOrEqual(to);
    expect(high).toBeGreaterThanOrEqual(from);
    // Many draws tell closely: then the mean of what is said is meant, not the bin.
    const said = inside.reduce((sum, each) => sum + each.said, 0) / inside.length;
    if (inside.length >= 60) expect(Math.abs(right / inside.length - said)).toBeLessThan(0.05);
  });
});
