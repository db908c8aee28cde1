import { CAUSES } from '../causes/causes';
import { drillOf } from '../drills/drills';
import { QUESTIONS, questionOf } from '../evidence/questions';
import { USUAL_ANSWERS } from '../causes/usual-answers';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { PLAN_CEILING, proposePlan } from './propose-plan';
import { reasonsTold } from './remedies';

/** The plan follows the reason: one cause is trained away otherwise by what was behind it. */

const planFor = (causeId: Parameters<typeof proposePlan>[0], evidence: Parameters<typeof reasonsTold>[0]) =>
  proposePlan(causeId, 'position-hold', { told: reasonsTold(evidence) });
const ids = (...args: Parameters<typeof planFor>) => planFor(...args).map(({ drillId }) => drillId);

test('a gap clipped for seven reasons gets seven plans, with the same deciding drills', () => {
  const question = questionOf('gap_reason');
  const reasons = question.kind === 'choice' ? question.values : [];
  const plans = reasons.map((value) => ids('gap-clip', { gap_reason: value }));
  expect(new Set(plans.map((plan) => [...plan].sort().join())).size).toBe(7);
  for (const plan of plans) expect(plan).toEqual(expect.arrayContaining(['gap-ladder', 'gap-chain']));
});

test.each([
  ['orientation-side-on', { wind_side: 'cross' }, { wind_side: 'calm' }],
  ['orientation-lost', { in_sight: 'barely' }, { light: 'glare' }],
  ['obstacle-overrun', { speed_setting: 'fast' }, { attention: 'talked-to' }],
  ['no-gps-drift', { place: 'indoors' }, { hold_expected: 'yes' }],
] as const)('%s by %j is not trained away as by %j', (causeId, one, other) => {
  expect([...ids(causeId, one)].sort()).not.toEqual([...ids(causeId, other)].sort());
});

test("which answer chose a drill is kept with it; deciding drills are the cause's own, whatever is told", () => {
  const plan = planFor('obstacle-overrun', { attention: 'talked-to', setting_expected: 'different' });
  expect(plan.filter(({ why }) => why.because === 'told')).toEqual(
    [
      {
        drillId: 'pause-then-talk',
        why: { because: 'told', told: { question: 'attention', value: 'talked-to' } },
      },
      {
        drillId: 'mode-readback',
        why: { because: 'told', told: { question: 'setting_expected', value: 'different' } },
      },
    ].sort(
      (a, b) =>
        plan.findIndex((p) => p.drillId === a.drillId) - plan.findIndex((p) => p.drillId === b.drillId),
    ),
  );
  const key = (told: Parameters<typeof reasonsTold>[0]) =>
    planFor('obstacle-overrun', told)
      .filter(({ why }) => why.because === 'key')
      .map(({ drillId }) => drillId);
  expect(key({ attention: 'talked-to' })).toEqual(key({}));
});

test('whatever was answered, every plan holds: each cause, mode and single answer', () => {
  const keyOf = (of: ReturnType<typeof proposePlan>) => of.filter(({ why }) => why.because === 'key').length;
  const wrong: string[] = [];
  let plans = 0;
  for (const { id: causeId } of CAUSES)
    for (const mode of FLIGHT_MODES) {
      const plain = keyOf(proposePlan(causeId, mode, {}));
      for (const question of QUESTIONS) {
        if (question.kind !== 'choice') continue;
        for (const value of question.values) {
          const plan = proposePlan(causeId, mode, { told: reasonsTold({ [question.id]: value }) });
          const drillIds = plan.map(({ drillId }) => drillId);
          plans += 1;
          // Some fifty thousand plans: what is wrong is gathered, and expected once.
          if (
            new Set(drillIds).size !== drillIds.length ||
            drillIds.length > PLAN_CEILING ||
            keyOf(plan) !== plain ||
            drillIds.some((id) => drillOf(id).modes?.includes(mode) === false)
          )
            wrong.push([causeId, mode, question.id, value].join(' '));
        }
      }
    }
  expect(wrong).toEqual([]);
  expect(plans).toBeGreaterThan(20_000);
});

test('only answers that a plan hangs on are kept with it, each once', () => {
  expect(reasonsTold({ nose: 'toward', attention: 'talked-to', wind_mps: 3 })).toEqual([
    { question: 'attention', value: 'talked-to' },
  ]);
  expect(reasonsTold({})).toEqual([]);
  for (const { question, value } of reasonsTold(
    Object.fromEntries(Object.entries(USUAL_ANSWERS).map(([id, values]) => [id, Object.keys(values!)[0]!])),
  ))
    expect(questionOf(question)).toMatchObject({
      values: expect.arrayContaining([value]),
    });
});
