import { setTimeout } from 'node:timers/promises';
import type { ImportPage } from '@skelby/core/pages/imports';
import { checkDatabase } from '../facts/check-database';
import { id, rep, startTestServer, type TestServer, Visitor, withWeakness } from '../testing/test-school';

/**
 * Two servers and a worker on one database: whichever answers, it is one school. A worker is a server that nobody asks.
 */

let server: TestServer;
let [first, second]: Visitor[] = [];
let schoolId: string;
beforeAll(async () => {
  server = await startTestServer();
  const [other, made] = [await server.another(), await server.school('Two Servers')];
  await server.another();
  schoolId = made.schoolId;
  first = made.trainer;
  // The same browser, which the proxy sends elsewhere.
  second = new Visitor(other);
  second.cookie = first.cookie;
});
afterAll(() => server.close());

test('reps by turns at both, at once, count once each, and stand as the facts have them', async () => {
  const { weaknessId } = await withWeakness(first!);
  const reps = Array.from({ length: 60 }, (_, i) => {
    const day = `2026-03-0${3 + Math.floor(i / 12)}`;
    const flownAt = `${day}T10:${String(i % 12).padStart(2, '0')}:00.000Z`;
    const purpose = i % 12 < 8 ? 'practice' : 'test';
    return { path: `/reps/${id()}`, body: rep(weaknessId, { day, flownAt, purpose, met: i % 5 !== 0 }) };
  });
  const answers = await Promise.all(
    reps.flatMap(({ path, body }, i) => {
      const [one, other] = i % 2 === 0 ? [first!, second!] : [second!, first!];
      // Every third is sent to both: the answer of the one did not arrive.
      return i % 3 === 0 ? [one.put(path, body), other.put(path, body)] : [one.put(path, body)];
    }),
  );
  expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
  expect(await server.db('reps').where({ weaknessId })).toHaveLength(60);
  const pages = await Promise.all([first!, second!].map((who) => who.get(`/weaknesses/${weaknessId}`)));
  expect(pages[1]!.body).toEqual(pages[0]!.body);
  expect((await checkDatabase(server.db)).differences).toEqual([]);
}, 60_000);

test('a file given at one is worked on by whoever is free, and its report is read at the other', async () => {
  const line = (i: number) =>
    `Nils Overbeck,crash,2026-03-02,2026-03-02T${String(i % 24).padStart(2, '0')}:00:00.000Z,overcontrol`;
  const text = [
    'pilot,kind,day,happened_at,logged_cause',
    ...Array.from({ length: 400 }, (_, i) => line(i)),
    '',
  ].join('\r\n');
  const { body: file } = await first!.ask<ImportPage>(
    'POST',
    '/api/imports?format=csv&name=season.csv',
    text,
    {
      'Content-Type': 'application/octet-stream',
    },
  );
  const read = async () => (await second!.get<ImportPage>(`/imports/${file.id}`)).body;
  const until = async (so: (page: ImportPage) => boolean) => {
    for (let i = 0; i < 400 && !so(await read()); i += 1) await setTimeout(50);
    return read();
  };
  expect((await until(({ state }) => state === 'looked-over')).state).toBe('looked-over');
  await second!.ask('POST', `/api/imports/${file.id}/bring-in`);
  expect(await until(({ state }) => state === 'brought-in')).toMatchObject({
    state: 'brought-in',
    report: { rows: 400 },
  });
  expect(await server.db('occurrences').where({ schoolId, note: '' })).toHaveLength(400);
}, 60_000);

test('who signs out at one is signed out at the other', async () => {
  expect((await second!.get('/today')).status).toBe(200);
  await first!.ask('POST', '/api/sign-out');
  expect((await second!.get('/today')).status).toBe(401);
});
