import type { TodayList } from '@skelby/core/pages/pages';
import { checkDatabase } from '../facts/check-database';
import { startTestServer, type TestServer, type Visitor } from '../testing/test-school';

/** A school of made-up people to try everything in: nothing of it reaches the real one, and nobody gets in by it. */

let server: TestServer;
let school: { readonly schoolId: string; readonly email: string; readonly trainer: Visitor };
beforeAll(async () => {
  server = await startTestServer();
  school = await server.school('Carrow Fell');
});
afterAll(() => server.close());

const me = async (visitor: Visitor) =>
  (await visitor.get<{ schoolName: string; role: string; sandbox: boolean }>('/me')).body;
const open = (visitor: Visitor, anew = false) =>
  visitor.ask<{ detail?: string }>('POST', '/api/me/sandbox', { anew });
const leave = (visitor: Visitor) => visitor.ask('POST', '/api/me/sandbox/left', {});
const rowsOfSchool = async (schoolId: string) =>
  Number(((await server.db('events').where({ schoolId }).count('* as n').first()) as { n: string }).n);

test('opens in the middle of a season, all true by the facts, with nothing marked as come in late', async () => {
  const { trainer } = school;
  expect(await me(trainer)).toMatchObject({ schoolName: 'Carrow Fell', sandbox: false });
  expect((await open(trainer)).status).toBe(200);
  expect(await me(trainer)).toMatchObject({ schoolName: 'Sandbox', role: 'owner', sandbox: true });
  const { body } = await trainer.get<TodayList>('/today');
  expect(body.toDebrief.length).toBeGreaterThan(0);
  expect(new Set(body.weaknesses.map(({ state }) => state))).toEqual(
    new Set(['open', 'drilling', 'ready-for-check', 'watch']),
  );
  const { id } = (await server.db('schools').whereNotNull('sandbox_of').first('id')) as { id: string };
  const late = await server.db('reps').where({ schoolId: id }).whereRaw('recorded_at <> flown_at');
  expect(late).toHaveLength(0);
  expect((await checkDatabase(server.db)).differences).toEqual([]);
  // History is only ever added to there, too, for whoever works in it.
  await expect(
    server.lanes.asked.transaction(async (tx) => {
      await tx.raw(
        "select set_config('skelby.school', ?, true), set_config('skelby.forgetting', 'on', true)",
        [id],
      );
      await tx('moves').delete();
    }),
  ).rejects.toThrow(/permission|only ever added/);
}, 60_000);

test('leads back to the own school, and to the same sandbox again until it is begun anew', async () => {
  const { trainer, schoolId } = school;
  const [sandbox] = (await server.db('schools').whereNotNull('sandbox_of').pluck('id')) as string[];
  // There is no sandbox of a sandbox, and nobody is invited into one.
  expect((await open(trainer)).status).toBe(409);
  expect((await trainer.ask('POST', '/api/people/invitations', { role: 'trainer' })).status).toBe(409);
  const before = await rowsOfSchool(schoolId);
  expect((await leave(trainer)).status).toBe(204);
  expect(await me(trainer)).toMatchObject({ schoolName: 'Carrow Fell', sandbox: false });
  expect((await trainer.get<TodayList>('/today')).body.weaknesses).toEqual([]);
  expect(await rowsOfSchool(schoolId)).toBe(before);
  // The way back is no way in: it leads nowhere for whoever is not in a sandbox.
  expect((await leave(trainer)).status).toBe(409);

  expect((await open(trainer)).status).toBe(200);
  expect(await server.db('schools').whereNotNull('sandbox_of').pluck('id')).toEqual([sandbox]);
  await leave(trainer);
  expect((await open(trainer, true)).status).toBe(200);
  const [anew, ...more] = (await server.db('schools').whereNotNull('sandbox_of').pluck('id')) as string[];
  expect(more).toEqual([]);
  expect(anew).not.toBe(sandbox);
  // Nothing is left of the one before, in any table.
  for (const table of ['pilots', 'reps', 'moves', 'events', 'accounts'])
    expect([table, (await server.db(table).where({ schoolId: sandbox })).length]).toEqual([table, 0]);
  await leave(trainer);
}, 60_000);

test('does not turn up where one signs in, and is no way in once the own session or account is over', async () => {
  const { email, trainer, schoolId } = school;
  expect((await open(trainer)).status).toBe(200);
  // Signing in asks about no second school.
  const elsewhere = await server.visitor().signIn(email);
  expect(await me(elsewhere)).toMatchObject({ schoolName: 'Carrow Fell' });
  expect((await elsewhere.get('/me/schools')).body).toEqual([]);
  // Everywhere else is signed out: the session in the sandbox cannot go back.
  expect((await elsewhere.ask('POST', '/api/me/sessions/ended', {})).status).toBeLessThan(300);
  const back = await leave(trainer);
  expect([back.status, back.body['detail']]).toEqual([401, expect.stringContaining('Sign in')]);
  expect((await trainer.get('/today')).status).toBe(401);

  const again = await server.visitor().signIn(email);
  expect((await open(again)).status).toBe(200);
  await server.db('accounts').where({ schoolId }).update({ endedAt: new Date() });
  expect((await leave(again)).status).toBe(401);
  expect(
    (await server.visitor().ask('POST', '/api/sign-in', { email, password: 'a long enough password' }))
      .status,
  ).toBe(401);
  await server.db('accounts').where({ schoolId }).update({ endedAt: null });
}, 60_000);

test('signing out in it signs out of both', async () => {
  const one = await server.visitor().signIn(school.email);
  const own = one.cookie;
  expect((await open(one)).status).toBe(200);
  expect((await one.ask('POST', '/api/sign-out', {})).status).toBe(204);
  const stolen = server.visitor();
  stolen.cookie = own;
  expect((await stolen.get('/me')).status).toBe(401);
}, 60_000);

test('while one is written, its account signs in elsewhere at once', async () => {
  const { email, trainer } = await server.school('Harrow Edge');
  const opening = open(trainer);
  await server.visitor().signIn(email);
  const writing = await Promise.race([opening.then(() => 'done'), Promise.resolve('writing')]);
  expect(writing).toBe('writing');
  expect((await opening).status).toBe(200);
}, 60_000);

test('one made for one account is not opened for another', async () => {
  const other = await server.colleague(school.schoolId);
  expect((await open(other)).status).toBe(200);
  const all = (await server.db('schools').whereNotNull('sandbox_of').pluck('sandbox_of')) as string[];
  expect(new Set(all).size).toBe(all.length);
  expect(all).toHaveLength(3);
}, 60_000);
