import type { CauseId } from '@skelby/core/causes/causes';
import type { WeaknessState } from '@skelby/core/clearance/rungs';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { clearanceOfPage } from '@skelby/core/weakness/page';
import {
  confirmation,
  id,
  occurrence,
  PILOT,
  rep,
  startTestServer,
  type TestServer,
  type Visitor,
  withWeakness,
} from '../testing/test-school';

/** The whole loop over HTTP and a real database: log, confirm, drill, check, sign, relapse. */

let server: TestServer;
let trainer: Visitor;
let schoolId: string;
beforeAll(async () => {
  server = await startTestServer();
  ({ trainer, schoolId } = await server.school('Carrow Fell'));
});
afterAll(() => server.close());

interface TodayBody {
  readonly toDebrief: { id: string }[];
  readonly weaknesses: {
    id: string;
    state: WeaknessState;
    checkFrom: string | null;
    checkPassed: boolean;
    rungs: number[];
  }[];
}

const onToday = async (weaknessId: string) =>
  (await trainer.get<TodayBody>('/today')).body.weaknesses.find((line) => line.id === weaknessId);
const stateOf = async (weaknessId: string) =>
  (await trainer.get<{ weakness: { state: WeaknessState } }>(`/weaknesses/${weaknessId}`)).body.weakness
    .state;

/** Test reps at both deciding drills of over-control until the first three rungs are full. */
async function flyTests(weaknessId: string): Promise<void> {
  for (const [d, drillId] of ['half-thumb', 'tail-in-hover'].entries()) {
    for (let i = 0; i < 10; i += 1) {
      const day = i < 5 ? '2026-03-03' : '2026-03-04';
      await trainer.put(
        `/reps/${id()}`,
        rep(weaknessId, { drillId, day, flownAt: `${day}T1${d}:0${i}:00.000Z` }),
      );
    }
  }
}

async function flyCheck(weaknessId: string, day: string): Promise<void> {
  for (const [d, drillId] of ['half-thumb', 'tail-in-hover'].entries()) {
    for (let i = 0; i < 4; i += 1)
      await trainer.put(
        `/reps/${id()}`,
        rep(weaknessId, { drillId, purpose: 'check', day, flownAt: `${day}T1${d}:0${i}:00.000Z` }),
      );
  }
}

test('a near-miss becomes a weakness, is drilled, checked, signed, watched, and comes back', async () => {
  const pilotId = id();
  const occurrenceId = id();
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  expect(
    (await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId, { kind: 'near-miss' }))).status,
  ).toBe(200);
  expect((await trainer.get<TodayBody>('/today')).body.toDebrief.map((each) => each.id)).toContain(
    occurrenceId,
  );

  const {
    body: { weaknessId },
  } = await trainer.put<{ weaknessId: string }>(`/occurrences/${occurrenceId}/confirmation`, confirmation());
  expect((await trainer.get<TodayBody>('/today')).body.toDebrief.map((each) => each.id)).not.toContain(
    occurrenceId,
  );
  expect(await onToday(weaknessId)).toMatchObject({ state: 'open', rungs: [0, 0, 0, 0, 0] });
  const page = await trainer.get<{ plans: { drillIds: string[] }[] }>(`/weaknesses/${weaknessId}`);
  expect(page.body.plans[0]!.drillIds).toEqual([
    'single-stick',
    'half-thumb',
    'pop-up-takeoff',
    'tail-in-hover',
    'soft-centre-stick',
  ]);

  await flyTests(weaknessId);
  expect(await onToday(weaknessId)).toMatchObject({
    state: 'ready-for-check',
    checkFrom: '2026-03-11',
    checkPassed: false,
    rungs: [1, 1, 1, 0, 0],
  });

  const early = await trainer.put(`/weaknesses/${weaknessId}/moves/${id()}`, {
    kind: 'signed',
    undoes: null,
    at: '2026-03-05T09:00:00.000Z',
    day: '2026-03-05',
    reason: '',
  });
  expect(early.status).toBe(409);
  expect(early.body['detail']).toContain('fly the check first');

  await flyCheck(weaknessId, '2026-03-11');
  expect(await onToday(weaknessId)).toMatchObject({ checkPassed: true });
  const sign = {
    kind: 'signed',
    undoes: null,
    at: '2026-03-11T12:00:00.000Z',
    day: '2026-03-11',
    reason: '',
  };
  const moveId = id();
  expect((await trainer.put(`/weaknesses/${weaknessId}/moves/${moveId}`, sign)).status).toBe(200);
  expect((await trainer.put(`/weaknesses/${weaknessId}/moves/${moveId}`, sign)).status).toBe(200);
  expect(await stateOf(weaknessId)).toBe('watch');
  // On watch, and its next check has come due meanwhile.
  expect(await onToday(weaknessId)).toMatchObject({ state: 'watch', checkFrom: '2026-03-18' });

  const again = id();
  await trainer.put(
    `/occurrences/${again}`,
    occurrence(pilotId, { happenedAt: '2026-04-01T09:00:00.000Z', day: '2026-04-01' }),
  );
  const reopened = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${again}/confirmation`,
    confirmation({ at: '2026-04-01T10:00:00.000Z' }),
  );
  expect(reopened.body.weaknessId).toBe(weaknessId);
  expect(await onToday(weaknessId)).toMatchObject({ state: 'open', rungs: [0, 0, 0, 0, 0] });
});

test.each([
  ['a higher wind limit', { windLimitMps: 8 }],
  ['another mode', { mode: 'height-hold' }],
])(
  'a check that failed stays failed when the pilot is given %s',
  async (_, edit) => {
    const { pilotId, weaknessId } = await withWeakness(trainer);
    await flyTests(weaknessId);
    for (let i = 0; i < 2; i += 1)
      await trainer.put(
        `/reps/${id()}`,
        rep(weaknessId, {
          purpose: 'check',
          met: false,
          missReason: 'height',
          day: '2026-03-11',
          flownAt: `2026-03-11T09:0${i}:00.000Z`,
        }),
      );
    const failed = await onToday(weaknessId);
    expect(failed).toMatchObject({ state: 'drilling' });
    expect((failed as { rungs: number[] }).rungs[0]).toBeLessThan(1);
    await trainer.put(`/pilots/${pilotId}`, { ...PILOT, ...edit, basedOn: 1 });
    expect(await onToday(weaknessId)).toEqual(failed);
    await trainer.put(`/pilots/${pilotId}`, { ...PILOT, basedOn: 2 });
    expect(await onToday(weaknessId)).toEqual(failed);
  },
  60_000,
);

test('what a pilot flies with now is stamped with a reason: a cell is added, and the failure stays', async () => {
  const { weaknessId } = await withWeakness(trainer);
  await flyTests(weaknessId);
  const page = async () => (await trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body;
  const before = clearanceOfPage(await page());
  const stamp = { mode: PILOT.mode, windLimitMps: 9, at: '2026-03-06T09:00:00.000Z', reason: '' };
  const path = `/weaknesses/${weaknessId}/stamps/${id()}`;
  const bare = await trainer.put(path, stamp);
  expect(bare.status).toBe(422);
  expect(JSON.stringify(bare.body)).toContain('Reason');
  for (let i = 0; i < 2; i += 1)
    expect((await trainer.put(path, { ...stamp, reason: 'Flies the ridge from now on.' })).status).toBe(200);
  const { stamps } = await page();
  expect(stamps).toMatchObject([{ toldBy: 'opening' }, { toldBy: 'trainer', windLimitMps: 9 }]);
  const after = clearanceOfPage(await page());
  expect(after.coverage).toHaveLength(before.coverage.length + 1);
  expect(after.charts[0]!.curve.scores.at(-1)).toBe(0);
  const old = await trainer.put(`/weaknesses/${weaknessId}/stamps/${id()}`, {
    ...stamp,
    reason: 'Late.',
    at: '2026-03-01T09:00:00.000Z',
  });
  expect(old.body['detail'] ?? JSON.stringify(old.body)).toContain('before the last stamp');
});

test('a phone that knows nothing of hold off stamps the rest, and leaves that as it was', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const stampAt = (day: number, more: object) =>
    trainer.put(`/weaknesses/${weaknessId}/stamps/${id()}`, {
      mode: PILOT.mode,
      windLimitMps: 6,
      at: `2026-03-0${day}T09:00:00.000Z`,
      reason: 'From now on.',
      ...more,
    });
  expect((await stampAt(6, { holdOff: true })).status).toBe(200);
  expect((await stampAt(7, {})).status).toBe(200);
  const { stamps } = (await trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body;
  expect(stamps!.map(({ holdOff }) => holdOff)).toEqual([false, true, true]);
  expect((await stampAt(8, { holdOff: null })).status).toBe(422);
});

test('a miss that was taken back counts until another trainer says that it was none', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const repId = id();
  await trainer.put(`/reps/${repId}`, rep(weaknessId, { met: false, missReason: 'height' }));
  const reps = async () =>
    clearanceOfPage((await trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body).spent.reduce(
      (sum, each) => sum + each.reps,
      0,
    );
  const confirm = (who: Visitor) => who.put(`/reps/${repId}/error-confirmed`, { reason: 'Thumb slipped.' });
  expect((await confirm(trainer)).status).toBe(409);
  await trainer.put(`/reps/${repId}/taken-back`, { reason: 'Mis-tap' });
  expect(await reps()).toBe(1);
  expect((await confirm(trainer)).body['detail']).toContain('another trainer');
  const second = await server.colleague(schoolId);
  expect((await confirm(second)).status).toBe(200);
  expect(await reps()).toBe(0);
});

test('a check that another phone hands in late, flown before the misses, is the one that counts', async () => {
  const { weaknessId } = await withWeakness(trainer);
  await flyTests(weaknessId);
  for (let i = 0; i < 2; i += 1)
    await trainer.put(
      `/reps/${id()}`,
      rep(weaknessId, {
        purpose: 'check',
        met: false,
        missReason: 'height',
        day: '2026-03-11',
        flownAt: `2026-03-11T20:0${i}:00.000Z`,
      }),
    );
  expect(await onToday(weaknessId)).toMatchObject({ state: 'drilling' });
  await flyCheck(weaknessId, '2026-03-11');
  expect(await onToday(weaknessId)).toMatchObject({ state: 'ready-for-check', checkPassed: true });
});

test('confirming twice, from two phones at once, opens one weakness', async () => {
  const [pilotId, a, b] = [id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  for (const each of [a, b]) await trainer.put(`/occurrences/${each}`, occurrence(pilotId));
  const answers = await Promise.all(
    [a, b].map((each) =>
      trainer.put<{ weaknessId: string }>(`/occurrences/${each}/confirmation`, confirmation()),
    ),
  );
  expect(answers.map((answer) => answer.status)).toEqual([200, 200]);
  expect(answers[0]!.body.weaknessId).toBe(answers[1]!.body.weaknessId);
  const { body } = await trainer.get<{ moves: { kind: string }[]; occurrences: unknown[] }>(
    `/weaknesses/${answers[0]!.body.weaknessId}`,
  );
  expect(body.moves.map((move) => move.kind).sort()).toEqual(['occurrence-added', 'opened']);
  expect(body.occurrences).toHaveLength(2);
});

test('a rep sent twice is one rep, and one sent otherwise under the same key is refused', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const repId = id();
  for (let i = 0; i < 2; i += 1)
    expect((await trainer.put(`/reps/${repId}`, rep(weaknessId))).status).toBe(200);
  expect((await trainer.get<{ reps: unknown[] }>(`/weaknesses/${weaknessId}`)).body.reps).toHaveLength(1);
  expect((await trainer.put(`/reps/${repId}`, rep(weaknessId, { met: false }))).status).toBe(409);
  const events = await server.db('events').where({ subjectId: repId });
  expect(events).toHaveLength(1);
});

test('thirty reps at once from two phones all count', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const answers = await Promise.all(
    Array.from({ length: 30 }, (_, i) =>
      trainer.put(
        `/reps/${id()}`,
        rep(weaknessId, { met: false, flownAt: `2026-03-03T10:00:${String(i).padStart(2, '0')}.000Z` }),
      ),
    ),
  );
  expect(answers.every((answer) => answer.status === 200)).toBe(true);
  const { body } = await trainer.get<{ reps: unknown[]; weakness: { state: string } }>(
    `/weaknesses/${weaknessId}`,
  );
  expect(body.reps).toHaveLength(30);
  expect(body.weakness.state).toBe('drilling');
});

test('a rep is taken back with a reason; it stays on record', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const repId = id();
  await trainer.put(`/reps/${repId}`, rep(weaknessId));
  const silent = await trainer.put(`/reps/${repId}/taken-back`, { reason: '' });
  expect(silent.status).toBe(422);
  expect(silent.body['errors']).toEqual(
    expect.arrayContaining([{ field: 'reason', message: 'Reason is empty: say why in a few words.' }]),
  );
  for (let i = 0; i < 2; i += 1)
    expect((await trainer.put(`/reps/${repId}/taken-back`, { reason: 'Mis-tap' })).status).toBe(200);
  const { body } = await trainer.get<{ reps: { takenBack: boolean; takenBackReason: string }[] }>(
    `/weaknesses/${weaknessId}`,
  );
  expect(body.reps).toMatchObject([{ takenBack: true }]);
  expect(await server.db('events').where({ subjectId: repId, action: 'taken-back' })).toMatchObject([
    { reason: 'Mis-tap' },
  ]);
});

test('a confirmation taken back withdraws the weakness it opened, and the cause can be confirmed anew', async () => {
  const { occurrenceId, weaknessId, pilotId } = await withWeakness(trainer);
  expect(
    (await trainer.put(`/occurrences/${occurrenceId}/confirmation`, confirmation({ causeId: 'wildlife' })))
      .status,
  ).toBe(409);
  expect(
    (
      await trainer.put(`/occurrences/${occurrenceId}/confirmation/taken-back`, {
        moveId: id(),
        at: '2026-03-02T10:00:00.000Z',
        reason: 'It was the birds.',
      })
    ).status,
  ).toBe(200);
  expect(await stateOf(weaknessId)).toBe('withdrawn');
  const other = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmation({ causeId: 'wildlife', at: '2026-03-02T10:05:00.000Z' }),
  );
  expect(other.body.weaknessId).not.toBe(weaknessId);
  const page = await trainer.get<{ weaknesses: { causeId: CauseId; state: string }[] }>(`/pilots/${pilotId}`);
  expect(page.body.weaknesses.map((line) => [line.causeId, line.state]).sort()).toEqual([
    ['overcontrol', 'withdrawn'],
    ['wildlife', 'open'],
  ]);
});

test('an entry made by mistake is withdrawn with a reason: gone from Today, kept on record', async () => {
  const [pilotId, occurrenceId] = [id(), id()];
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId));
  expect((await trainer.put(`/occurrences/${occurrenceId}/withdrawn`, { reason: ' ' })).status).toBe(422);
  for (let i = 0; i < 2; i += 1)
    expect(
      (await trainer.put(`/occurrences/${occurrenceId}/withdrawn`, { reason: 'Tapped the wrong name.' }))
        .status,
    ).toBe(200);
  expect((await trainer.get<TodayBody>('/today')).body.toDebrief.map((each) => each.id)).not.toContain(
    occurrenceId,
  );
  expect((await trainer.put(`/occurrences/${occurrenceId}/confirmation`, confirmation())).status).toBe(409);
  const page = await trainer.get<{ occurrences: { withdrawnReason: string }[] }>(`/pilots/${pilotId}`);
  expect(page.body.occurrences).toMatchObject([{ withdrawnReason: 'Tapped the wrong name.' }]);
  const confirmed = await withWeakness(trainer);
  expect(
    (await trainer.put(`/occurrences/${confirmed.occurrenceId}/withdrawn`, { reason: 'Never mind.' })).status,
  ).toBe(409);
});

test('signing early asks for a reason and shows as such; undoing it leads back', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const move = {
    kind: 'signed-early',
    undoes: null,
    at: '2026-03-04T09:00:00.000Z',
    day: '2026-03-04',
    reason: '',
  };
  expect((await trainer.put(`/weaknesses/${weaknessId}/moves/${id()}`, move)).body['errors']).toMatchObject([
    { field: 'reason' },
  ]);
  const signature = id();
  await trainer.put(`/weaknesses/${weaknessId}/moves/${signature}`, {
    ...move,
    reason: 'Flew the course clean.',
  });
  expect((await trainer.get<{ weakness: object }>(`/weaknesses/${weaknessId}`)).body.weakness).toMatchObject({
    state: 'watch',
    signedEarly: true,
  });
  const undo = {
    kind: 'undone',
    undoes: signature,
    at: '2026-03-04T09:05:00.000Z',
    day: '2026-03-04',
    reason: 'Wrong pilot.',
  };
  expect((await trainer.put(`/weaknesses/${weaknessId}/moves/${id()}`, undo)).status).toBe(200);
  expect(await stateOf(weaknessId)).toBe('open');
  expect(
    (
      await trainer.put(`/weaknesses/${weaknessId}/moves/${id()}`, {
        ...undo,
        at: '2026-03-04T09:06:00.000Z',
      })
    ).status,
  ).toBe(409);
});

test('another plan than the proposal wants a reason, and a plan without a deciding drill is refused', async () => {
  const { weaknessId } = await withWeakness(trainer);
  const put = (body: object) => trainer.put(`/weaknesses/${weaknessId}/plans/${id()}`, body);
  expect(
    (await put({ drillIds: ['tail-in-hover', 'fore-aft-line'], reason: '' })).body['errors'],
  ).toMatchObject([{ field: 'reason' }]);
  expect((await put({ drillIds: ['fore-aft-line'], reason: 'Short of time.' })).body['detail']).toContain(
    'Keep at least one tested drill (Half a thumb or Tail-in hover)',
  );
  expect(
    (await put({ drillIds: ['tail-in-hover', 'fore-aft-line'], reason: 'Needs the line first.' })).status,
  ).toBe(200);
  const { body } = await trainer.get<{ plans: { drillIds: string[]; reason: string }[] }>(
    `/weaknesses/${weaknessId}`,
  );
  expect(body.plans).toHaveLength(2);
  expect(body.plans[0]).toMatchObject({
    drillIds: ['tail-in-hover', 'fore-aft-line'],
    reason: 'Needs the line first.',
  });
});

test.each([
  [{ side: 'left' }, 'side', 'has no sides'],
  [{ drillId: 'stick-call' }, 'purpose', 'is not flown'],
  [{ missReason: 'height' }, 'missReason', 'leave it empty'],
  [{ drillId: 'hover-check', flownOn: 'simulator' }, 'flownOn', 'fly it on the craft'],
  [{ flownAt: '2999-01-01T00:00:00.000Z' }, 'flownAt', "phone's clock"],
  [{ day: '2999-01-01' }, 'day', 'Day lies ahead'],
])('a rep with %j is refused by the name of its field', async (more, field, words) => {
  const { weaknessId } = await withWeakness(trainer);
  const { status, body } = await trainer.put<{ errors: { field: string; message: string }[] }>(
    `/reps/${id()}`,
    rep(weaknessId, more),
  );
  expect(status).toBe(422);
  expect(body.errors[0]).toMatchObject({ field });
  expect(body.errors[0]!.message).toContain(words);
});
