import { dumped } from '../testing/dumped';
import { id, confirmation, occurrence, PILOT, rep, SITE, type Visitor } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';

/** A pilot is forgotten for good, by the owner alone, and what was flown stays. */

const NAME = 'Åse (Sissel) Bergfjord-Moen';
const school = ownSchool();

/** A pilot with something written of them wherever something can be written. */
async function written(trainer: Visitor, name = NAME) {
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name, note: `${name} flies left-handed` });
  await trainer.put(`/pilots/${pilotId}`, {
    ...PILOT,
    name,
    note: `Ask ${name}'s mother`,
    isMinor: true,
    consentBy: 'Signe, of the blue kite',
    basedOn: 0,
  });
  await trainer.put(`/sites/${id()}`, { ...SITE, hazard: `Soft ground where ${name} landed` });
  await trainer.put(`/pilots/${pilotId}/course/${id()}`, {
    ...{ kind: 'shown', drillId: 'single-stick', side: null, met: true, missReason: null, flownOn: 'craft' },
    ...{ band: 'calm', factId: null, day: '2026-03-01', at: '2026-03-01T10:00:00.000Z' },
    reason: `${name} with the blue kite`,
  });
  const occurrenceId = id();
  await trainer.put(`/occurrences/${occurrenceId}`, {
    ...occurrence(pilotId),
    note: `${name} looked away; the secret is a blue kite`,
  });
  const confirmed = confirmation();
  await trainer.put(`/occurrences/${occurrenceId}/confirmation`, confirmed);
  const { weaknessId } = confirmed;
  const repId = id();
  await trainer.put(`/reps/${repId}`, rep(weaknessId));
  await trainer.put(`/reps/${repId}/taken-back`, { reason: `${name} was the spotter, blue kite` });
  await trainer.put(`/weaknesses/${weaknessId}/plans/${id()}`, {
    drillIds: ['tail-in-hover', 'side-on-hover'],
    reason: `${name} asked, blue kite`,
  });
  return { pilotId, occurrenceId, weaknessId, repId };
}

test('the name and everything written freely are in no row of the dump any more; reps and rungs are what they were', async () => {
  const { pilotId, weaknessId } = await written(school.here.trainer);
  const other = id();
  await school.here.trainer.put(`/pilots/${other}`, {
    ...PILOT,
    name: 'Rune Holt',
    note: `Flies with ${NAME.toUpperCase()}.`,
  });
  const before = await school.here.trainer.get(`/weaknesses/${weaknessId}`);
  const link = await school.here.trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/links`, {
    days: 5,
  });
  expect(await dumped(school.here.server.db)).toContain(NAME);

  const { status, body } = await school.here.trainer.ask<{ name: string; rows: number }>(
    'POST',
    `/api/pilots/${pilotId}/forget`,
    { name: NAME },
  );
  expect(status).toBe(200);
  expect(body.name).toBe('Forgotten pilot 1');
  expect(body.rows).toBeGreaterThan(8);
  const left = await dumped(school.here.server.db);
  expect(left.toLowerCase()).not.toContain(NAME.toLowerCase());
  expect(left).not.toContain('blue kite');
  expect(left).not.toContain('left-handed');

  const after = await school.here.trainer.get(`/weaknesses/${weaknessId}`);
  expect(after.status).toBe(200);
  const rungs = ({ body: page }: typeof after) => (page['weakness'] as { rungs: number[] }).rungs;
  expect(rungs(after)).toEqual(rungs(before));
  expect((after.body['reps'] as unknown[]).length).toBe((before.body['reps'] as unknown[]).length);
  const theirs = await school.here.server.visitor().ask('GET', '/api/own', undefined, {
    Authorization: `Bearer ${link.body.token}`,
  });
  expect(theirs.status).toBe(404);
  const events = (await school.here.server
    .db('events')
    .where({ action: 'forgotten', subjectId: pilotId })) as {
    accountId: string;
    data: { rows: number };
  }[];
  expect(events).toHaveLength(1);
  expect(events[0]!.data.rows).toBe(body.rows);
  const list = (await school.here.trainer.get('/today')).body as unknown as Record<
    string,
    { pilotId: string }[]
  >;
  expect(
    Object.values(list)
      .flat()
      .filter((line) => line.pilotId === pilotId),
  ).toEqual([]);
  // The other pilot's note still says what it said, without the name.
  expect(((await school.here.trainer.get(`/pilots/${other}`)).body['pilot'] as { note: string }).note).toBe(
    'Flies with Forgotten pilot 1.',
  );
});

test('a second time nothing happens; a phone that still has the name cannot bring it back', async () => {
  const { pilotId } = await written(school.here.trainer, 'Kåre Lund');
  await school.here.trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: 'Kåre Lund' });
  expect(
    (await school.here.trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: 'x' })).body,
  ).toMatchObject({
    rows: 0,
  });
  const { status } = await school.here.trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Kåre Lund' });
  expect(status).toBe(422);
  expect(await dumped(school.here.server.db)).not.toContain('Kåre Lund');
});

test('only the owner may, the name has to be typed, and no other school is touched', async () => {
  const { pilotId } = await written(school.here.trainer, 'Liv Dahl');
  const elsewhere = await school.here.server.school('Harrow Bay');
  await written(elsewhere.trainer, 'Liv Dahl');
  const colleague = await school.here.server.colleague(school.here.schoolId);
  const ask = (who: Visitor, name: string) => who.ask('POST', `/api/pilots/${pilotId}/forget`, { name });
  expect((await ask(colleague, 'Liv Dahl')).status).toBe(403);
  expect((await ask(elsewhere.trainer, 'Liv Dahl')).status).toBe(404);
  const wrong = await ask(school.here.trainer, 'Liv');
  expect([wrong.status, wrong.body['errors']]).toEqual([422, [expect.objectContaining({ field: 'name' })]]);
  expect((await ask(school.here.trainer, 'Liv Dahl')).status).toBe(200);
  expect((await elsewhere.trainer.get('/roster')).body['pilots']).toEqual([
    expect.objectContaining({ name: 'Liv Dahl' }),
  ]);
});

test('a name that is an id, a part of a word or full of signs changes no id and no other word', async () => {
  for (const name of ['test', 'al', 'C++ (.*) \\ $1', 'Met']) {
    const { pilotId, weaknessId } = await written(school.here.trainer, name);
    const neighbour = id();
    await school.here.trainer.put(`/pilots/${neighbour}`, {
      ...PILOT,
      name: 'Alma Metten',
      note: 'Calm, metres, tested.',
    });
    expect([
      name,
      (await school.here.trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name })).status,
    ]).toEqual([name, 200]);
    const page = (await school.here.trainer.get(`/weaknesses/${weaknessId}`)).body;
    expect((page['reps'] as { purpose: string }[]).map(({ purpose }) => purpose)).toEqual([
      rep(weaknessId).purpose,
    ]);
    expect(
      ((await school.here.trainer.get(`/pilots/${neighbour}`)).body['pilot'] as { note: string }).note,
    ).toBe('Calm, metres, tested.');
  }
});

test('the guards of history still let nobody else through', async () => {
  await expect(school.here.server.db('events').update({ reason: 'mine' })).rejects.toThrow(
    /History is only ever added to/,
  );
  await expect(
    school.here.server.db.transaction(async (tx) => {
      await tx.raw(
        "select set_config('role', 'skelby_app', true), set_config('skelby.forgetting', 'on', true)",
      );
      await tx('events').update({ reason: 'mine' });
    }),
  ).rejects.toThrow(/permission denied/);
});

test('everything kept of a pilot comes as one file, from every table that leads to them, and of nobody else', async () => {
  const { pilotId, occurrenceId, weaknessId, repId } = await written(school.here.trainer, 'Siri Vang');
  await written(school.here.trainer, 'Somebody Else');
  const { status, body, headers } = await school.here.trainer.get<Record<string, { id: string }[]>>(
    `/pilots/${pilotId}/everything.json`,
  );
  expect(status).toBe(200);
  expect(headers.get('Content-Disposition')).toContain('pilot.json');
  expect(body['pilot']).toMatchObject({ name: 'Siri Vang' });
  const ids = (table: string) => body[table]!.map((row) => row.id);
  expect(ids('occurrences')).toEqual([occurrenceId]);
  expect(ids('weaknesses')).toEqual([weaknessId]);
  expect(ids('reps')).toEqual([repId]);
  expect(body['plans']!.length).toBeGreaterThan(1);
  expect(body['moves']!.length).toBeGreaterThan(0);
  const { rows } = (await school.here.server.db.raw(
    "select distinct table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'pilot_id'",
  )) as { rows: { name: string }[] };
  for (const { name } of rows) expect(body).toHaveProperty(name);
  const text = JSON.stringify(body);
  expect(text).not.toContain('Somebody Else');
  expect(text).not.toMatch(/token_hash|password/);
  const elsewhere = await school.here.server.school('Far Away');
  expect((await elsewhere.trainer.get(`/pilots/${pilotId}/everything.json`)).status).toBe(404);
});
