import { deckFor } from '@skelby/core/drill-cases/decks';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { clearanceOfPage } from '@skelby/core/weakness/page';
import { id, rep, withWeakness } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';

/**
 * What is decided on the ground: every test is one case drawn by lot, counted like any other, and nothing else
 * counts.
 */

const school = ownSchool();

const weaknessOf = async (causeId: string) => (await withWeakness(school.here.trainer, causeId)).weaknessId;

const pageOf = async (weaknessId: string) =>
  (await school.here.trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body;

const DAYS = ['2026-03-03', '2026-03-04', '2026-03-05'];

test('a step left out is cleared at the craft, in four cases a day of each list, and no wind is asked for', async () => {
  const weaknessId = await weaknessOf('left-undone');
  for (const drillId of ['preflight-aloud', 'prelanding-aloud']) {
    const cases = deckFor(drillId);
    for (const [d, day] of DAYS.entries())
      for (let i = 0; i < 4; i += 1) {
        const flownAt = `${day}T1${drillId === 'preflight-aloud' ? 0 : 1}:0${i}:00.000Z`;
        const caseId = cases[4 * d + i]!.id;
        expect(
          (await school.here.trainer.put(`/reps/${id()}`, rep(weaknessId, { drillId, caseId, day, flownAt })))
            .status,
        ).toBe(200);
      }
  }
  const clearance = clearanceOfPage(await pageOf(weaknessId));
  expect(clearance.charts.map(({ drillId, curve }) => [drillId, curve.reachedAt !== null])).toEqual([
    ['preflight-aloud', true],
    ['prelanding-aloud', true],
  ]);
  expect(clearance.coverage).toEqual(
    ['preflight-aloud', 'prelanding-aloud'].map((drillId) => ({ drillId, what: 'craft', shown: true })),
  );
  expect(clearance.state).toBe('ready-for-check');
});

test.each([
  [{ drillId: 'preflight-aloud' }, 'Case is missing: a test of Pre-flight aloud is one case drawn by lot.'],
  [{ drillId: 'preflight-aloud', caseId: 'mast' }, 'Case is none of Pre-flight aloud'],
  [{ drillId: 'preflight-aloud', caseId: 'x\u0000' }, 'Case is none of Pre-flight aloud'],
  [
    { drillId: 'preflight-aloud', caseId: 'rotor-loose', flownOn: 'simulator' },
    'cannot be shown on the simulator',
  ],
])('%j is refused by its field: %s', async (more, words) => {
  const weaknessId = await weaknessOf('craft-fault');
  const { status, body } = await school.here.trainer.put<{ detail: string }>(
    `/reps/${id()}`,
    rep(weaknessId, more),
  );
  expect(status).toBe(422);
  expect(body.detail).toContain(words);
});

test('a plan keeps the drills that decided when it was made', async () => {
  const weaknessId = await weaknessOf('craft-fault');
  expect((await pageOf(weaknessId)).plans[0]!.decides).toEqual(['preflight-aloud']);
  // As the migration leaves what was open before: another drill of the cause decided then, and goes on deciding.
  await school.here.server.db.raw('alter table plans disable trigger only_added');
  await school.here.server
    .db('plans')
    .where({ weakness_id: weaknessId })
    .update({ decides: ['hover-check'] });
  await school.here.server.db.raw('alter table plans enable trigger only_added');
  expect(clearanceOfPage(await pageOf(weaknessId)).charts.map(({ drillId }) => drillId)).toEqual([
    'hover-check',
  ]);
});

test('tests are announced, flown and called off; a rep of another drill is not taken into the set', async () => {
  const weaknessId = await weaknessOf('overcontrol');
  const setId = id();
  const path = `/weaknesses/${weaknessId}/test-sets/${setId}`;
  const set = {
    drillId: 'tail-in-hover',
    side: null,
    number: 3,
    day: DAYS[0],
    at: `${DAYS[0]}T09:00:00.000Z`,
  };
  expect((await school.here.trainer.put(path, { ...set, side: 'left' })).status).toBe(422);
  expect((await school.here.trainer.put(path, { ...set, number: 0 })).status).toBe(422);
  expect((await school.here.trainer.put(path, set)).status).toBe(200);
  expect((await school.here.trainer.put(path, set)).status).toBe(200);
  expect(
    (
      await school.here.trainer.put(
        `/reps/${id()}`,
        rep(weaknessId, { drillId: 'half-thumb', testSetId: setId }),
      )
    ).status,
  ).toBe(422);
  expect((await school.here.trainer.put(`/reps/${id()}`, rep(weaknessId, { testSetId: setId }))).status).toBe(
    200,
  );
  // Flown on another day before the rest had a result: two were missed.
  await school.here.trainer.put(
    `/reps/${id()}`,
    rep(weaknessId, { day: DAYS[1], flownAt: `${DAYS[1]}T10:00:00.000Z`, band: 'light' }),
  );
  const chartOf = async () =>
    clearanceOfPage(await pageOf(weaknessId)).charts.find(({ drillId }) => drillId === 'tail-in-hover')!;
  expect((await chartOf()).curve.reps).toBe(4);
  expect(
    (await school.here.trainer.put(`${path}/called-off`, { at: `${DAYS[0]}T10:30:00.000Z` })).status,
  ).toBe(200);
  expect((await chartOf()).curve.reps).toBe(2);
  expect(
    (await school.here.trainer.put(`/weaknesses/${weaknessId}/test-sets/${id()}/called-off`, { at: set.at }))
      .status,
  ).toBe(404);
});
