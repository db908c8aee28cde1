import { CAUSES } from '../causes/causes';
import type { AgreementPage } from '../pages/agreement';
import { againstSet, amongTrainers, casesApart, stillToJudge } from './judged';
import { isTrainingCase, TRAINING_CASES } from './training-cases';

/** What a trainer is shown of judging the same cases as others. */

const AS_WRITTEN = TRAINING_CASES.map(({ id, causeId }) => ({ caseId: id, causeId }));
const page = (more: Partial<AgreementPage>): AgreementPage => ({
  own: [],
  others: {},
  trainers: [],
  ...more,
});

test('the set names causes there are, each case once, and no cause twice', () => {
  const ids = TRAINING_CASES.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(new Set(TRAINING_CASES.map(({ causeId }) => causeId)).size).toBe(ids.length);
  for (const { causeId } of TRAINING_CASES) expect(CAUSES.map(({ id }) => id)).toContain(causeId);
  expect([isTrainingCase(ids[0]!), isTrainingCase('constructor')]).toEqual([true, false]);
});

test('whoever judges as it was written agrees wholly; whoever says one cause of everything by chance alone', () => {
  expect(againstSet(AS_WRITTEN)).toMatchObject({
    cases: 12,
    same: 12,
    ac1: { value: 1 },
    kappa: { value: 1 },
  });
  const lazy = againstSet(AS_WRITTEN.map(({ caseId }) => ({ caseId, causeId: 'overcontrol' as const })));
  expect(lazy).toMatchObject({ same: 1, cases: 12, kappa: { value: 0 } });
  expect(lazy.ac1!.value).toBeLessThan(0.1);
});

test('nothing judged says nothing, and one case has no interval', () => {
  expect(againstSet([])).toEqual({ cases: 0, same: 0, ac1: null, kappa: null });
  expect(amongTrainers(page({ own: AS_WRITTEN }))).toBeNull();
  expect(againstSet(AS_WRITTEN.slice(0, 1)).ac1).toMatchObject({ interval: null });
});

test('among trainers every pair counts, and cases apart are told with who said what', () => {
  const [first, second] = AS_WRITTEN as [(typeof AS_WRITTEN)[0], (typeof AS_WRITTEN)[0]];
  const own = [first, { ...second, causeId: 'beyond-sight' as const }];
  const others = { [first.caseId]: { [first.causeId]: 2 }, [second.caseId]: { [second.causeId]: 2 } };
  const given = page({ own, others });
  // Of the first case all three pairs are the same, of the second one of three.
  expect(amongTrainers(given)).toMatchObject({ cases: 2, same: (1 + 1 / 3) / 2 });
  expect(casesApart(given)).toEqual([
    {
      ...{ caseId: second.caseId, mine: 'beyond-sight', written: second.causeId },
      others: [[second.causeId, 2]],
    },
  ]);
});

test('what is left comes in an order of one’s own, which stays as it goes on', () => {
  const mine = stillToJudge([], 'one').map(({ id }) => id);
  expect(mine).not.toEqual(stillToJudge([], 'another').map(({ id }) => id));
  expect([...mine].sort()).toEqual(TRAINING_CASES.map(({ id }) => id).sort());
  const [done] = mine as [(typeof mine)[0]];
  expect(stillToJudge([{ caseId: done, causeId: 'distraction' }], 'one').map(({ id }) => id)).toEqual(
    mine.slice(1),
  );
});
