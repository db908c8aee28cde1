import type { BatchAnswer, BatchCommand } from '@skelby/core/sync/batch';
import {
  confirmation,
  id,
  occurrence,
  PILOT,
  rep,
  startTestServer,
  type TestServer,
  type Visitor,
  withOccurrence,
  withWeakness,
} from '../testing/test-school';

/** What was done without signal reaches the record once, in order, whatever happened on the way. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const command = (
  path: string,
  body: Record<string, unknown>,
  stamp: BatchCommand['stamp'] = null,
): BatchCommand => ({
  key: id(),
  path,
  stamp,
  body,
});
const repCommand = (weaknessId: string, more: object = {}) =>
  command(`/reps/${id()}`, rep(weaknessId, more), 'flownAt');
const send = async (
  trainer: Visitor,
  commands: readonly BatchCommand[],
  sentAt = new Date().toISOString(),
  phone: string | null = null,
) =>
  (await trainer.ask<BatchAnswer>('POST', '/api/sync', { sentAt, minutesAheadOfUtc: 0, phone, commands }))
    .body;
const repsOf = async (trainer: Visitor, weaknessId: string) =>
  (await trainer.get<{ reps: { met: boolean; flownAt: string; day: string }[] }>(`/weaknesses/${weaknessId}`))
    .body.reps;

test('a hundred reps go in at once and count; the same outbox again, or twice at once, adds nothing', async () => {
  const { trainer } = await server.school('Carrowfell');
  const { weaknessId } = await withWeakness(trainer);
  const commands = Array.from({ length: 100 }, (_, i) =>
    repCommand(weaknessId, {
      flownAt: new Date(Date.parse('2026-03-03T10:00:00Z') + i * 60_000).toISOString(),
    }),
  );
  const [first, second] = await Promise.all([send(trainer, commands), send(trainer, commands)]);
  expect(first.results.every((result) => result.done)).toBe(true);
  expect(second.results.every((result) => result.done)).toBe(true);
  await send(trainer, commands);
  expect(await repsOf(trainer, weaknessId)).toHaveLength(100);
  const { body } = await trainer.get<{ weaknesses: { id: string; rungs: number[] }[] }>('/today');
  expect(body.weaknesses.find((each) => each.id === weaknessId)?.rungs[0]).toBeGreaterThan(0);
});

test('from log to reps without signal: logged, confirmed and drilled in one batch', async () => {
  const { trainer } = await server.school('Merrow');
  const [pilotId, occurrenceId] = [id(), id()];
  const opening = confirmation();
  const { results } = await send(trainer, [
    command(`/pilots/${pilotId}`, PILOT),
    command(`/occurrences/${occurrenceId}`, occurrence(pilotId), 'happenedAt'),
    command(`/occurrences/${occurrenceId}/confirmation`, opening, 'at'),
    repCommand(opening.weaknessId),
    repCommand(opening.weaknessId, { met: false, missReason: 'height' }),
  ]);
  expect(results.filter((result) => !result.done)).toEqual([]);
  expect(await repsOf(trainer, opening.weaknessId)).toHaveLength(2);
});

test('two trainers open the same weakness out of signal: the reps of both count in the one there is', async () => {
  const { trainer, schoolId } = await server.school('Tarn');
  const { pilotId, occurrenceId } = await withOccurrence(trainer);
  const other = id();
  await trainer.put(`/occurrences/${other}`, occurrence(pilotId));
  const [first, second] = [confirmation(), confirmation()];
  await send(trainer, [
    command(`/occurrences/${occurrenceId}/confirmation`, first),
    repCommand(first.weaknessId),
  ]);
  const { results } = await send(trainer, [
    command(`/occurrences/${other}/confirmation`, second),
    repCommand(second.weaknessId),
    repCommand(second.weaknessId),
  ]);
  expect(results.filter((result) => !result.done)).toEqual([]);
  expect(await repsOf(trainer, first.weaknessId)).toHaveLength(3);
  expect(await repsOf(trainer, second.weaknessId)).toHaveLength(3); // the second key leads there too
  expect(await server.db('weaknesses').where({ schoolId })).toHaveLength(1);
});

test('what cannot be taken is told and leaves nothing behind; the rest goes in', async () => {
  const { trainer } = await server.school('Skarn');
  const { weaknessId } = await withWeakness(trainer);
  const wrong = repCommand(weaknessId, { side: 'left' });
  const nowhere = command(`/own/near-miss/${id()}`, {});
  const { results } = await send(trainer, [repCommand(weaknessId), wrong, nowhere, repCommand(weaknessId)]);
  expect(results.map((result) => result.done)).toEqual([true, false, false, true]);
  expect(results[1]).toMatchObject({
    key: wrong.key,
    status: 422,
    detail: expect.stringContaining('leave Side empty') as string,
  });
  expect(results[2]).toMatchObject({ status: 404 });
  expect(await repsOf(trainer, weaknessId)).toHaveLength(2);
  // Mended, it goes through under the same key.
  const mended = { ...wrong, body: { ...wrong.body, side: null } };
  expect((await send(trainer, [mended])).results).toEqual([{ key: wrong.key, done: true }]);
});

const FAULT = 'Faultin Ours';
const odd = (pilotId: string): readonly [string, BatchCommand, number][] => [
  [
    'half a surrogate pair in a note',
    command(`/occurrences/${id()}`, occurrence(pilotId, { note: 'a \ud83d b' }), 'happenedAt'),
    422,
  ],
  ['a NUL in a name', command(`/pilots/${id()}`, { ...PILOT, name: 'A\0B' }), 422],
  [
    '30 February',
    command(
      `/occurrences/${id()}`,
      occurrence(pilotId, { happenedAt: '2026-02-30T09:00:00.000Z', day: '2026-02-28' }),
      'happenedAt',
    ),
    422,
  ],
  [
    'the year nought',
    command(
      `/occurrences/${id()}`,
      occurrence(pilotId, { happenedAt: '0000-01-01T09:00:00.000Z', day: '0000-01-01' }),
      'happenedAt',
    ),
    422,
  ],
  [
    'a stamp that is missing',
    command(`/occurrences/${id()}`, { ...occurrence(pilotId), happenedAt: undefined }, 'happenedAt'),
    422,
  ],
  [
    'a stamp that is no instant',
    command(`/occurrences/${id()}`, occurrence(pilotId, { happenedAt: { at: 1 } }), 'happenedAt'),
    422,
  ],
  [
    'a fault of ours: the database refuses what every shape takes',
    command(`/pilots/${id()}`, { ...PILOT, name: FAULT }),
    500,
  ],
];

beforeAll(() => server.db.raw(`alter table pilots add constraint no_fault check (name <> '${FAULT}')`));

test.each(odd(id()).map(([what], i) => [what, i] as const))(
  '%s is answered for itself, and what comes after it goes through',
  async (_, i) => {
    const { trainer } = await server.school(`Odd ${i}`);
    const { pilotId, weaknessId } = await withWeakness(trainer);
    const [, wrong, status] = odd(pilotId)[i]!;
    // A phone whose clock is an hour out: the stamps are moved too.
    const sentAt = new Date(Date.now() - 3_600_000).toISOString();
    const { results } = await send(trainer, [repCommand(weaknessId), wrong, repCommand(weaknessId)], sentAt);
    expect(results.map((result) => result.done)).toEqual([true, false, true]);
    expect(results[1]).toMatchObject({
      key: wrong.key,
      status,
      detail: expect.stringMatching(/\w/) as string,
    });
    expect(await repsOf(trainer, weaknessId)).toHaveLength(2);
  },
);

test('two reps of one pilot at once, counting for two weaknesses, sixty times over: every one is taken', async () => {
  const { trainer } = await server.school('Pairs');
  const { pilotId, weaknessId } = await withWeakness(trainer);
  const other = id();
  await trainer.put(`/occurrences/${other}`, occurrence(pilotId, { causeId: 'coasting' }));
  const {
    body: { weaknessId: second },
  } = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${other}/confirmation`,
    confirmation({ causeId: 'coasting' }),
  );
  const shared = (await trainer.get<{ plans: { drillIds: string[] }[] }>(`/weaknesses/${second}`)).body
    .plans[0]!.drillIds;
  expect(shared).toContain('tail-in-hover');
  for (let pair = 0; pair < 60; pair += 1) {
    const answers = await Promise.all(
      [weaknessId, second].map((each) => trainer.put(`/reps/${id()}`, rep(each))),
    );
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
  }
  expect(await repsOf(trainer, weaknessId)).toHaveLength(120);
});

test('an edit from an old revision is refused with both versions, and goes through once it was chosen', async () => {
  const { trainer } = await server.school('Corrie');
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, note: 'Theirs.', basedOn: 1 });
  const { results } = await send(trainer, [
    command(`/pilots/${pilotId}`, { ...PILOT, note: 'Mine.', basedOn: 1 }),
  ]);
  expect(results[0]).toMatchObject({
    done: false,
    status: 409,
    theirs: { note: 'Theirs.', name: PILOT.name },
    by: expect.stringMatching(/^Trainer/) as string,
    override: { basedOn: 2 },
  });
  await send(trainer, [command(`/pilots/${pilotId}`, { ...PILOT, note: 'Mine.', basedOn: 2 })]);
  const { body } = await trainer.get<{ pilot: { note: string; revision: number } }>(`/pilots/${pilotId}`);
  expect(body.pilot).toMatchObject({ note: 'Mine.', revision: 3 });
});

test('a phone that edits twice before it reads again does not clash with itself, and still clashes with another', async () => {
  const { trainer } = await server.school('Ghyll');
  const [pilotId, mine, theirs] = [id(), id(), id()];
  const edit = (note: string, basedOn: number) => command(`/pilots/${pilotId}`, { ...PILOT, note, basedOn });
  const sendFrom = async (phone: string, ...commands: BatchCommand[]) =>
    (await send(trainer, commands, undefined, phone)).results.map((result) => result.done);
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  expect(await sendFrom(mine, edit('One.', 1), edit('Two.', 1))).toEqual([true, true]);
  expect(await sendFrom(mine, edit('Three.', 1))).toEqual([true]);
  expect(await sendFrom(theirs, edit('Other.', 1))).toEqual([false]);
  expect(await sendFrom(theirs, edit('Other.', 4))).toEqual([true]);
  // What came before the other's edit is no longer one run.
  expect(await sendFrom(mine, edit('Four.', 4))).toEqual([false]);
  expect(
    (await trainer.get<{ pilot: { note: string; revision: number } }>(`/pilots/${pilotId}`)).body.pilot,
  ).toMatchObject({ note: 'Other.', revision: 5 });
});

test('an app older than the server says nothing of revisions: its edits are taken', async () => {
  const { trainer } = await server.school('Old Mill');
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, note: 'Newer.' });
  expect(
    (await send(trainer, [command(`/pilots/${pilotId}`, { ...PILOT, note: 'From an old phone.' })]))
      .results[0],
  ).toMatchObject({ done: true });
});

test('a phone whose clock is a day ahead: the reps count, on the day they were flown', async () => {
  const { trainer } = await server.school('Fellgate');
  const { weaknessId } = await withWeakness(trainer);
  const ahead = Date.now() + 2 * 86_400_000;
  const { results, clockAheadS } = await send(
    trainer,
    [
      repCommand(weaknessId, {
        flownAt: new Date(ahead - 60_000).toISOString(),
        day: new Date(ahead).toISOString().slice(0, 10),
      }),
    ],
    new Date(ahead).toISOString(),
  );
  expect(results[0]).toMatchObject({ done: true });
  expect(Math.abs(clockAheadS - 2 * 86_400)).toBeLessThan(60);
  const [flown] = await repsOf(trainer, weaknessId);
  expect(Math.abs(Date.parse(flown!.flownAt) - Date.now())).toBeLessThan(180_000);
});

test('a batch that cannot be read says which part, and nothing of it is done', async () => {
  const { trainer } = await server.school('Quarry');
  const { body, status } = await trainer.ask<{ errors: { field: string }[] }>('POST', '/api/sync', {
    sentAt: 'yesterday',
    minutesAheadOfUtc: 0,
    commands: [{ key: 'x', path: 'reps', stamp: null, body: 3 }],
  });
  expect(status).toBe(422);
  expect(body.errors.map((each) => each.field)).toEqual(
    expect.arrayContaining(['sentAt', 'commands[0].key', 'commands[0].path', 'commands[0].body']),
  );
});

test('what a phone carries out of signal holds the same pages as the server shows', async () => {
  const { trainer } = await server.school('Hollow');
  const { weaknessId, pilotId } = await withWeakness(trainer);
  const other = await withOccurrence(trainer);
  const { body } = await trainer.get<Record<string, Record<string, unknown>>>('/carry');
  expect(body['weakness']![weaknessId]).toEqual((await trainer.get(`/weaknesses/${weaknessId}`)).body);
  expect(body['occurrence']![other.occurrenceId]).toEqual(
    (await trainer.get(`/occurrences/${other.occurrenceId}`)).body,
  );
  expect(body['pilot']![pilotId]).toEqual((await trainer.get(`/pilots/${pilotId}`)).body);
  expect(body['today']).toEqual((await trainer.get('/today')).body);
});

test('another school sees none of it', async () => {
  const { trainer } = await server.school('One');
  const { weaknessId } = await withWeakness(trainer);
  const { trainer: stranger } = await server.school('Two');
  expect((await send(stranger, [repCommand(weaknessId)])).results[0]).toMatchObject({
    done: false,
    status: 404,
  });
  expect((await stranger.get<{ weakness: object }>('/carry')).body.weakness).toEqual({});
});

test('what one trainer kept is not taken for the one who signed in on that phone since, in their school or another', async () => {
  const one = await server.school('Kept Here');
  const other = await server.school('Signed In Since');
  const { weaknessId } = await withWeakness(one.trainer);
  const commands = [repCommand(weaknessId), command(`/pilots/${id()}`, PILOT)];
  const { accountId } = (await one.trainer.get<{ accountId: string }>('/me')).body;
  const sendAs = (who: Visitor, account: string | null) =>
    who.ask('POST', '/api/sync', {
      ...{ sentAt: new Date().toISOString(), minutesAheadOfUtc: 0, phone: null, commands },
      account,
    });
  for (const stranger of [other.trainer, await server.colleague(one.schoolId)])
    expect((await sendAs(stranger, accountId)).status).toBe(401);
  const pilots = async () => await server.db('pilots').where({ schoolId: other.schoolId });
  expect(await pilots()).toEqual([]);
  expect((await sendAs(one.trainer, accountId)).status).toBe(200);
  expect(await repsOf(one.trainer, weaknessId)).toHaveLength(1);
});
