import { answerProblem } from '../evidence/check-answer';
import { CASES } from './cases';
import { RECODED } from './cases-recoded';
import { TOLD_CASES } from './cases-told';
import { THIRD_TOLD_CASES } from './cases-told-third';

const sets = { common: CASES, told: TOLD_CASES, third: THIRD_TOLD_CASES } as const;

test.each(Object.entries(sets))('every answer of the %s cases is one that its question takes', (_, cases) => {
  const wrong = cases.flatMap(({ told, evidence }) =>
    Object.entries(evidence).flatMap(([id, answer]) =>
      answerProblem(id, answer) === null ? [] : [`${told}: ${id}`],
    ),
  );
  expect(wrong).toEqual([]);
});

test('the told cases are coded twice, each of them, with answers that their questions take', () => {
  expect(RECODED).toHaveLength(TOLD_CASES.length);
  const wrong = RECODED.flatMap((evidence) =>
    Object.entries(evidence).filter(([id, answer]) => answerProblem(id, answer) !== null),
  );
  expect(wrong).toEqual([]);
});

test('no story is told twice', () => {
  const told = Object.values(sets).flatMap((cases) => cases.map((each) => each.told));
  expect(new Set(told).size).toBe(told.length);
});
