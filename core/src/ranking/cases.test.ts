import { answerProblem } from '../evidence/check-answer';
import { CASES } from './cases';
import { codedAgain, TOLD_SETS } from './told-sets';

const sets = {
  common: CASES,
  ...Object.fromEntries(TOLD_SETS.map(({ name, cases }) => [name, cases])),
  ...Object.fromEntries(TOLD_SETS.map((set) => [`${set.name}, again`, codedAgain(set)])),
};

test.each(Object.entries(sets))('every answer of the %s cases is one that its question takes', (_, cases) => {
  const wrong = cases.flatMap(({ told, evidence }) =>
    Object.entries(evidence).flatMap(([id, answer]) =>
      answerProblem(id, answer) === null ? [] : [`${told}: ${id}`],
    ),
  );
  expect(wrong).toEqual([]);
});

test.each(TOLD_SETS.slice(0, -1))('each story of "$name" is coded twice', ({ cases, again }) => {
  expect(again).toHaveLength(cases.length);
});

test('no story is told twice', () => {
  const told = [...CASES, ...TOLD_SETS.flatMap(({ cases }) => cases)].map((each) => each.told);
  expect(new Set(told).size).toBe(told.length);
});
