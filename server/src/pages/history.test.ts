import { cameInLate } from '@skelby/core/clearance/came-in-late';
import { id, PILOT, rep, withWeakness } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';

/** Who did what and when: to be read, filtered and taken along, by the own school alone. */

interface Entry {
  readonly id: string;
  readonly at: string;
  readonly action: string;
  readonly subject: string;
  readonly by: string | null;
  readonly pilotName: string | null;
  readonly flownAt: string | null;
  readonly reason: string | null;
}
const school = ownSchool();

const read = async (search = '', who = school.here.trainer) =>
  (await who.get<{ entries: Entry[]; hasMore: boolean }>(`/history${search}`)).body;

/** Every entry, page after page. */
async function all(search = ''): Promise<readonly Entry[]> {
  const found: Entry[] = [];
  for (;;) {
    const after = found.at(-1)?.id;
    const { entries, hasMore } = await read(`?${search}${after ? `&after=${after}` : ''}`);
    found.push(...entries);
    if (!hasMore) return found;
  }
}

test('sign-ins, entries, files that leave and links that are opened stand in it, newest first, with who', async () => {
  const { pilotId, weaknessId } = await withWeakness(school.here.trainer);
  await school.here.trainer.put(`/reps/${id()}`, rep(weaknessId));
  await school.here.trainer.raw('/api/occurrences.csv');
  await school.here.trainer.get(`/pilots/${pilotId}/everything.json`);
  const { body: link } = await school.here.trainer.ask<{ token: string }>(
    'POST',
    `/api/pilots/${pilotId}/links`,
    {
      days: 2,
    },
  );
  const opened = { Authorization: `Bearer ${link.token}` };
  await school.here.server.visitor().ask('GET', '/api/own', undefined, opened);
  await school.here.server.visitor().ask('GET', '/api/own', undefined, opened);
  const entries = await all();
  const what = entries.map(({ action, subject }) => `${action} ${subject}`);
  for (const expected of [
    'signed-in account',
    'added pilot',
    'opened weakness',
    'recorded rep',
    'exported file',
  ])
    expect(what).toContain(expected);
  // Opened twice within minutes it is one use, by nobody with an account.
  expect(entries.filter(({ action, subject }) => action === 'opened' && subject === 'link')).toEqual([
    expect.objectContaining({ by: null, pilotName: PILOT.name }),
  ]);
  expect(entries.find(({ action }) => action === 'recorded')).toMatchObject({
    by: 'Trainer 1',
    pilotName: PILOT.name,
  });
  expect(entries.map(({ at }) => at)).toEqual(
    entries
      .map(({ at }) => at)
      .sort()
      .reverse(),
  );
});

test('a rep that is typed long after it was flown says both times, here and where it counts', async () => {
  const { weaknessId } = await withWeakness(school.here.trainer);
  const repId = id();
  await school.here.trainer.put(`/reps/${repId}`, rep(weaknessId));
  const [typed] = await all('kind=reps');
  expect(cameInLate(typed!.flownAt!, typed!.at)).toBe(true);
  const { reps } = (
    await school.here.trainer.get<{ reps: { id: string; flownAt: string; recordedAt: string }[] }>(
      `/weaknesses/${weaknessId}`,
    )
  ).body;
  const counted = reps.find((each) => each.id === repId)!;
  expect(Date.now() - Date.parse(counted.recordedAt)).toBeLessThan(60_000);
  expect(cameInLate(counted.flownAt, counted.recordedAt)).toBe(true);
  expect(cameInLate('2026-01-01T10:00:00Z', '2026-01-01T10:40:00Z')).toBe(false);
  expect(cameInLate('2026-01-01T10:00:00Z', null)).toBe(false);
});

test('a move that came in long after it is said to have been made says both times too', async () => {
  const { weaknessId } = await withWeakness(school.here.trainer);
  const moveId = id();
  const at = new Date(Date.now() - 3 * 86_400_000).toISOString();
  await school.here.trainer.put(`/weaknesses/${weaknessId}/moves/${moveId}`, {
    kind: 'signed-early',
    undoes: null,
    at,
    day: at.slice(0, 10),
    reason: 'Shown beside me at the hut.',
  });
  const { moves } = (
    await school.here.trainer.get<{ moves: { id: string; at: string; recordedAt: string }[] }>(
      `/weaknesses/${weaknessId}`,
    )
  ).body;
  const signed = moves.find((each) => each.id === moveId)!;
  expect(signed.at).toBe(at);
  expect(cameInLate(signed.at, signed.recordedAt)).toBe(true);
});

test('page after page nothing is left out and nothing comes twice; kind and pilot narrow it', async () => {
  const pilotId = id();
  await school.here.trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Paged' });
  for (let i = 0; i < 120; i += 1)
    await school.here.trainer.put(`/pilots/${pilotId}`, {
      ...PILOT,
      name: 'Paged',
      note: `Note ${i}`,
      override: { revision: i + 1 },
    });
  const entries = await all();
  const [{ n }] = (await school.here.server.db('events').count('* as n')) as [{ n: number }];
  expect(entries.length).toBe(Number(n));
  expect(new Set(entries.map((entry) => entry.id)).size).toBe(entries.length);
  const ofPilot = await all(`pilot=${pilotId}`);
  expect(ofPilot.length).toBeGreaterThan(100);
  expect(new Set(ofPilot.map(({ pilotName }) => pilotName))).toEqual(new Set(['Paged']));
  expect(new Set((await all('kind=access')).map(({ subject }) => subject))).toEqual(
    new Set(['account', 'file', 'link']),
  );
  for (const wrong of ['?kind=everything', '?after=1', '?pilot=x'])
    expect((await school.here.trainer.get(`/history${wrong}`)).status).toBe(422);
});

test('as a table it is whole, a formula in it is text, and another school sees nothing of it', async () => {
  const { pilotId, occurrenceId } = await withWeakness(school.here.trainer);
  await school.here.trainer.put(`/occurrences/${occurrenceId}/confirmation/taken-back`, {
    reason: '=HYPERLINK("x")',
  });
  await school.here.trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: '=1+1', override: { revision: 1 } });
  const csv = await school.here.trainer.raw('/api/history.csv');
  const lines = csv.trim().split('\r\n');
  const [{ n }] = (await school.here.server.db('events').count('* as n')) as [{ n: number }];
  expect(lines[0]).toBe('at,by,action,subject,subject_id,pilot,flown_at,reason');
  expect(lines.length - 1).toBe(Number(n));
  expect(csv).not.toMatch(/(^|,)"?=/m);
  const stranger = await school.here.server.school('Harrow Bay');
  expect((await read('', stranger.trainer)).entries.map(({ action }) => action)).toEqual(['signed-in']);
  expect((await school.here.server.visitor().get('/history')).status).toBe(401);
  expect((await school.here.server.visitor().get('/history.csv')).status).toBe(401);
});

test('a rep that is days older than its weakness asks why, and the reason stands in the history', async () => {
  const { trainer } = school.here;
  const { weaknessId } = await withWeakness(trainer);
  const older = { purpose: 'practice', day: '2026-02-20', flownAt: '2026-02-20T10:00:00.000Z' };
  const [refused, key] = [id(), id()];
  const answer = await trainer.put<{ errors: { field: string; message: string }[] }>(
    `/reps/${refused}`,
    rep(weaknessId, older),
  );
  expect([answer.status, answer.body.errors[0]!.field]).toEqual([422, 'lateReason']);
  expect(answer.body.errors[0]!.message).toMatch(/9 days before its weakness was opened/);
  // A phone's clock is hours off: no question asked.
  const hours = { purpose: 'practice', day: '2026-03-01', flownAt: '2026-03-01T20:00:00.000Z' };
  expect((await trainer.put(`/reps/${id()}`, rep(weaknessId, hours))).status).toBe(200);
  const told = rep(weaknessId, { ...older, lateReason: 'Flown for the course, on paper.' });
  expect((await trainer.put(`/reps/${key}`, told)).status).toBe(200);
  // Sent again it is the same rep.
  expect((await trainer.put(`/reps/${key}`, told)).status).toBe(200);
  const entries = await all();
  const reasons = entries.filter(({ reason }) => reason === 'Flown for the course, on paper.');
  expect(reasons.map(({ action, subject }) => [action, subject])).toEqual([['recorded', 'rep']]);
});
