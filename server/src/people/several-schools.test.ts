import type { NewSecondFactor, OtherSchool } from '@skelby/core/pages/people';
import { totpOf } from '../http/second-factor';
import { startTestServer, type TestServer, type Visitor } from '../testing/test-school';

/** One person, one e-mail and one password at several schools; and no school a way into another. */

const PASSWORD = 'four otters under a lantern';
const OTHER = 'seven kites over the quarry';
const EMAIL = 'synne.aldermoor@carrowfell.example';

let server: TestServer;
let [fell, harrow]: readonly { readonly schoolId: string; readonly trainer: Visitor }[] = [];

beforeAll(async () => {
  server = await startTestServer();
  [fell, harrow] = [await server.school('Carrow Fell'), await server.school('Harrow Edge')];
});
afterAll(() => server.close());

const invitation = async (school: typeof fell, accountId: string | null = null) => {
  const { body } = await school!.trainer.ask<{ token: string }>('POST', '/api/people/invitations', {
    ...{ role: 'trainer', accountId },
  });
  return body.token;
};
const take = (token: string, body: object, visitor = server.visitor()) =>
  visitor.ask<Record<string, unknown>>('POST', '/api/invitation', body, { Authorization: `Bearer ${token}` });
const signIn = (body: object, visitor = server.visitor()) =>
  visitor.ask<{ needs?: string; schools?: readonly { id: string; name: string }[]; detail?: string }>(
    'POST',
    '/api/sign-in',
    { email: EMAIL, ...body },
  );
const schoolOf = async (visitor: Visitor) =>
  (await visitor.get<{ schoolName: string }>('/me')).body.schoolName;

test('joins a second school with the password of the first, and no other', async () => {
  const name = 'Synne Aldermoor';
  expect((await take(await invitation(fell), { name, email: EMAIL, password: PASSWORD })).status).toBe(200);
  const second = await invitation(harrow);
  const wrong = await take(second, { name, email: EMAIL, password: OTHER });
  expect([wrong.status, wrong.body['errors']]).toEqual([
    422,
    [expect.objectContaining({ field: 'password', message: expect.stringContaining('another school') })],
  ]);
  expect((await take(second, { name, email: EMAIL, password: PASSWORD })).status).toBe(200);
  // Not twice at one.
  const again = await take(await invitation(harrow), { name, email: EMAIL, password: PASSWORD });
  expect([again.status, again.body['errors']]).toEqual([
    422,
    [expect.objectContaining({ field: 'email', message: expect.stringContaining('here') })],
  ]);
});

test('signing in asks which school, and nobody without the password is told of any', async () => {
  const asked = await signIn({ password: PASSWORD });
  expect([asked.status, asked.body.needs]).toEqual([409, 'school']);
  expect(asked.body.schools).toEqual([
    { id: fell!.schoolId, name: 'Carrow Fell' },
    { id: harrow!.schoolId, name: 'Harrow Edge' },
  ]);
  expect((await signIn({ password: OTHER })).status).toBe(401);
  expect((await signIn({ password: OTHER, schoolId: fell!.schoolId })).body).not.toHaveProperty('schools');
  const visitor = server.visitor();
  expect((await signIn({ password: PASSWORD, schoolId: harrow!.schoolId }, visitor)).status).toBe(200);
  expect(await schoolOf(visitor)).toBe('Harrow Edge');
});

test('goes from one school to the other, and the session before is over', async () => {
  const visitor = server.visitor();
  await signIn({ password: PASSWORD, schoolId: fell!.schoolId }, visitor);
  const others = await visitor.get<readonly OtherSchool[]>('/me/schools');
  expect(others.body).toEqual([{ id: harrow!.schoolId, name: 'Harrow Edge', opens: true }]);
  const before = visitor.cookie;
  const went = await visitor.ask('POST', '/api/me/school', { schoolId: harrow!.schoolId });
  expect([went.status, await schoolOf(visitor)]).toEqual([200, 'Harrow Edge']);
  const old = server.visitor();
  old.cookie = before;
  expect((await old.get('/me')).status).toBe(401);
  // A school that one is not at is not there, whether it is or not.
  const elsewhere = await server.school('Merrow Moor');
  expect((await visitor.ask('POST', '/api/me/school', { schoolId: elsewhere.schoolId })).status).toBe(404);
});

test('the second factor of a school is asked for on the way into it', async () => {
  const visitor = server.visitor();
  await signIn({ password: PASSWORD, schoolId: harrow!.schoolId }, visitor);
  const { body: begun } = await visitor.ask<NewSecondFactor>('POST', '/api/me/second-factor', {
    now: PASSWORD,
  });
  // A code lets in once: the one that switches it on, and the next.
  const code = (later: number) => totpOf(begun.secret, '').generate({ timestamp: Date.now() + later * 1000 });
  expect((await visitor.ask('POST', '/api/me/second-factor/on', { code: code(0) })).status).toBe(200);
  const atFell = server.visitor();
  await signIn({ password: PASSWORD, schoolId: fell!.schoolId }, atFell);
  const asked = await atFell.ask<{ needs?: string }>('POST', '/api/me/school', {
    schoolId: harrow!.schoolId,
  });
  expect([asked.status, asked.body.needs, await schoolOf(atFell)]).toEqual([401, 'code', 'Carrow Fell']);
  const wrong = { schoolId: harrow!.schoolId, code: '000000' };
  expect((await atFell.ask('POST', '/api/me/school', wrong)).status).toBe(422);
  const right = { schoolId: harrow!.schoolId, code: code(30) };
  expect((await atFell.ask('POST', '/api/me/school', right)).status).toBe(200);
  expect(await schoolOf(atFell)).toBe('Harrow Edge');
});

test('a changed password is changed at all schools; a link from one school opens that school alone', async () => {
  const visitor = server.visitor();
  await signIn({ password: PASSWORD, schoolId: fell!.schoolId }, visitor);
  const changed = await visitor.ask('POST', '/api/me/password', { now: PASSWORD, password: OTHER });
  expect(changed.status).toBe(204);
  expect((await signIn({ password: PASSWORD, schoolId: harrow!.schoolId })).status).toBe(401);
  expect((await signIn({ password: OTHER })).body.schools).toHaveLength(2);

  // A lead of the one school makes a link: whoever holds it is not let into the other.
  const { accounts } = (
    await fell!.trainer.get<{ accounts: readonly { id: string; email: string }[] }>('/people')
  ).body;
  const own = accounts.find(({ email }) => email === EMAIL)!;
  const thief = server.visitor();
  const stolen = 'nine herons in the gravel pit';
  expect((await take(await invitation(fell, own.id), { password: stolen }, thief)).status).toBe(200);
  expect(await schoolOf(thief)).toBe('Carrow Fell');
  expect((await thief.get<readonly OtherSchool[]>('/me/schools')).body).toEqual([
    { id: harrow!.schoolId, name: 'Harrow Edge', opens: false },
  ]);
  expect((await thief.ask('POST', '/api/me/school', { schoolId: harrow!.schoolId })).status).toBe(404);
  // With its password one gets to the one school it opens, and is not asked which.
  const alone = server.visitor();
  expect((await signIn({ password: stolen }, alone)).status).toBe(200);
  expect(await schoolOf(alone)).toBe('Carrow Fell');
});
