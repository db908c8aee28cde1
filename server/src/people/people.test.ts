import { COMMANDS } from '@skelby/core/commands/commands';
import type { AnyCommand } from '@skelby/core/commands/command';
import type { PeoplePage } from '@skelby/core/pages/people';
import { may, maySetRole, RIGHT_OF, type Right, RIGHTS, type Role, ROLES } from '@skelby/core/people/roles';
import { ownSchool } from '../testing/own-school';
import { id, occurrence, PILOT, type Visitor } from '../testing/test-school';

const at = ownSchool('Fell School');
const PASSWORD = 'four otters under a lantern';

/** A new account with a role, by the way a person takes: an invitation, and their own password. */
async function joined(role: Role, email: string): Promise<Visitor> {
  const { trainer, server } = at.here;
  const { body } = await trainer.ask<{ token: string }>('POST', '/api/people/invitations', {
    role,
    accountId: null,
  });
  const visitor = server.visitor();
  const answer = await visitor.ask(
    'POST',
    '/api/invitation',
    { name: `A ${role}`, email, password: PASSWORD },
    { Authorization: `Bearer ${body.token}` },
  );
  expect([role, answer.status, answer.body]).toEqual([role, 200, { schoolName: 'Fell School' }]);
  return visitor;
}

const people = async () => (await at.here.trainer.get<PeoplePage>('/people')).body;

describe('what each role may do, route by route', () => {
  const PAGES: readonly (readonly [path: string, right: Right])[] = [
    ['/me', 'own'],
    ['/today', 'read'],
    ['/roster', 'read'],
    ['/flights', 'read'],
    ['/experience', 'read'],
    ['/experience/calibration', 'read'],
    ['/school/rule', 'read'],
    ['/school/retention', 'read'],
    ['/sessions', 'read'],
    ['/drills', 'read'],
    ['/carry', 'read'],
    ['/me/sessions', 'own'],
    ['/history', 'history'],
    ['/history.csv', 'history'],
    ['/occurrences.csv', 'take-out'],
    ['/tables/reps.csv', 'take-out'],
    ['/occurrence-reports.csv', 'take-out'],
    ['/occurrences.json', 'take-out'],
    ['/occurrences.geojson', 'take-out'],
    ['/course', 'read'],
    ['/insights', 'read'],
    ['/search', 'read'],
    ['/signs', 'read'],
    ['/people', 'people'],
    ['/agreement', 'train'],
  ];
  const WRITES: readonly (readonly [method: string, path: string, right: Right])[] = [
    ['POST', `/pilots/${id()}/links`, 'keep-records'],
    ['GET', `/pilots/${id()}/everything.json`, 'take-out'],
    ['GET', `/pilots/${id()}/training-record.json`, 'take-out'],
    ['GET', `/pilots/${id()}/training-record.pdf`, 'take-out'],
    ['GET', `/pilots/${id()}/course.pdf`, 'take-out'],
    ['GET', `/weaknesses/${id()}/cleared.pdf`, 'take-out'],
    ['GET', '/school/certificate.pem', 'take-out'],
    ['GET', `/pilots/${id()}/xapi.json`, 'take-out'],
    ['POST', `/pilots/${id()}/forget`, 'forget'],
    ['POST', '/imports/occurrences?format=csv&save=nothing', 'bring-in'],
    ['POST', '/people/invitations', 'people'],
    ['PUT', `/people/invitations/${id()}/ended`, 'people'],
    ['PUT', `/people/${id()}`, 'people'],
    ['POST', '/v1/rank', 'read'],
    ['POST', '/people/tokens', 'people'],
    ['PUT', `/people/tokens/${id()}/ended`, 'people'],
  ];
  const commands = (COMMANDS as readonly AnyCommand[]).filter(({ by }) => by === 'trainer');

  test.each(ROLES)('%s', async (role) => {
    const visitor = await joined(role, `${role}@routes.example`);
    for (const [path, right] of PAGES)
      expect([path, (await visitor.get(path)).status]).toEqual([path, may(role, right) ? 200 : 403]);
    for (const [method, path, right] of WRITES) {
      const { status } = await visitor.ask(method, `/api${path}`, method === 'GET' ? undefined : {});
      expect([method, path, status === 403]).toEqual([method, path, !may(role, right)]);
    }
    for (const { name, address } of commands) {
      const path = address.pattern.replaceAll(/:\w+/g, () => id());
      const right = RIGHT_OF[name as keyof typeof RIGHT_OF];
      const { status, body } = await visitor.put(path, {});
      expect([name, status === 403]).toEqual([name, !may(role, right)]);
      if (status === 403) expect(body['detail']).toMatch(/: ask /);
    }
  });

  test('a batch goes no other way: what a reader enters is answered one by one, and nothing of it is done', async () => {
    const reader = await joined('reader', 'batch@routes.example');
    const pilotId = id();
    const { status, body } = await reader.ask<{ results: { status: number; done: boolean }[] }>(
      'POST',
      '/api/sync',
      {
        sentAt: new Date().toISOString(),
        minutesAheadOfUtc: 0,
        commands: [{ key: id(), path: `/pilots/${pilotId}`, body: PILOT }],
      },
    );
    expect([status, body.results]).toMatchObject([200, [{ done: false, status: 403 }]]);
    expect(await at.here.server.db('pilots').where({ id: pilotId })).toEqual([]);
  });

  test('whoever may more may all that others may, and nobody makes more of others than they are', () => {
    for (const right of RIGHTS)
      for (let i = 1; i < ROLES.length; i += 1)
        if (may(ROLES[i]!, right)) expect([right, may(ROLES[i - 1]!, right)]).toEqual([right, true]);
    for (const mine of ROLES)
      for (const theirs of ROLES)
        for (const to of ROLES)
          if (maySetRole(mine, theirs, to)) {
            expect(ROLES.indexOf(mine)).toBeLessThanOrEqual(ROLES.indexOf(theirs));
            expect(ROLES.indexOf(mine)).toBeLessThanOrEqual(ROLES.indexOf(to));
          }
  });
});

describe('invitations', () => {
  const taken = async (token: string, body: unknown) =>
    at.here.server.visitor().ask('POST', '/api/invitation', body, { Authorization: `Bearer ${token}` });
  const made = async (body: unknown = { role: 'trainer', accountId: null }) =>
    (await at.here.trainer.ask<{ id: string; token: string }>('POST', '/api/people/invitations', body)).body;

  test('say where they lead, are used once, and end when they are taken back', async () => {
    const { id: one, token } = await made();
    const seen = await at.here.server
      .visitor()
      .ask('GET', '/api/invitation', undefined, { Authorization: `Bearer ${token}` });
    expect(seen.body).toEqual({
      schoolName: 'Fell School',
      invitedBy: 'Trainer 1',
      role: 'trainer',
      email: null,
      pilotName: null,
    });
    const person = { name: 'Nessa', email: 'Nessa@Fell.example ', password: PASSWORD };
    const both = await Promise.all([
      taken(token, person),
      taken(token, { ...person, email: 'b@fell.example' }),
    ]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await taken(token, person)).status).toBe(404);
    const { id: other, token: unused } = await made();
    expect((await people()).invitations.map((each) => each.id)).toContain(other);
    await at.here.trainer.put(`/people/invitations/${other}/ended`, {});
    expect((await people()).invitations.map((each) => each.id)).not.toContain(other);
    expect((await taken(unused, { ...person, email: 'c@fell.example' })).status).toBe(404);
    expect(one).not.toBe(other);
  });

  test.each([
    ['short', 'too short'],
    ['password1234', 'easily guessed'],
    ['penhale-2026', 'easily guessed'],
    ['dora@fell.example', 'easily guessed'],
  ])('a password like "%s" is refused, and the invitation stays open', async (password, words) => {
    const { token } = await made();
    const person = { name: 'Dora Penhale', email: 'dora@fell.example', password };
    const { status, body } = await taken(token, person);
    expect([status, (body['errors'] as { field: string }[])[0]!.field, body['detail']]).toEqual([
      422,
      'password',
      expect.stringContaining(words),
    ]);
    await at.here.trainer.put(`/people/invitations/${id()}/ended`, {});
    const seen = await at.here.server
      .visitor()
      .ask('GET', '/api/invitation', undefined, { Authorization: `Bearer ${token}` });
    expect(seen.status).toBe(200);
  });

  test('an address that signs in already is told to whoever holds the link, and makes no second account', async () => {
    const { token } = await made();
    const { body } = await taken(token, { name: 'Again', email: at.here.email, password: PASSWORD });
    expect(body['detail']).toContain('has an account here already');
  });

  test('a new password by link: the old one and every session of before are no use any more', async () => {
    const old = await joined('trainer', 'forgetful@fell.example');
    const account = (await people()).accounts.find(({ email }) => email === 'forgetful@fell.example')!;
    const { token } = await made({ role: 'trainer', accountId: account.id });
    const seen = await at.here.server
      .visitor()
      .ask('GET', '/api/invitation', undefined, { Authorization: `Bearer ${token}` });
    expect(seen.body).toMatchObject({ email: 'forgetful@fell.example' });
    const next = 'seven kettles and a paper moon';
    expect((await taken(token, { password: next })).status).toBe(200);
    expect((await old.get('/me')).status).toBe(401);
    const again = at.here.server.visitor();
    await expect(again.signIn('forgetful@fell.example', PASSWORD)).rejects.toThrow('401');
    await again.signIn('forgetful@fell.example', next);
    expect((await again.get('/me')).body).toMatchObject({ role: 'trainer' });
  });
});

describe('accounts', () => {
  test('an account that is ended opens nothing at once, signs nobody in, and can be opened again', async () => {
    const visitor = await joined('trainer', 'leaving@fell.example');
    const account = (await people()).accounts.find(({ email }) => email === 'leaving@fell.example')!;
    expect(account).toMatchObject({ role: 'trainer', endedAt: null });
    expect(account.lastSeenAt).not.toBeNull();
    await at.here.trainer.put(`/people/${account.id}`, { role: 'trainer', ended: true });
    const out = await visitor.get('/today');
    // Its device is told to wipe what it holds.
    expect([out.status, out.body['wipe']]).toEqual([401, true]);
    await expect(visitor.signIn('leaving@fell.example', PASSWORD)).rejects.toThrow('401');
    await at.here.trainer.put(`/people/${account.id}`, { role: 'reader', ended: false });
    await visitor.signIn('leaving@fell.example', PASSWORD);
    expect((await visitor.get('/me')).body).toMatchObject({ role: 'reader' });
    const { body } = await at.here.trainer.get<{ events: { action: string }[] }>('/history?kind=access');
    expect(JSON.stringify(body)).toContain('account-ended');
  });

  test('a lead makes no owner and touches none; the last owner stays one', async () => {
    const lead = await joined('lead', 'lead@fell.example');
    const { accounts } = await people();
    const owner = accounts.find(({ role }) => role === 'owner')!;
    const self = accounts.find(({ email }) => email === 'lead@fell.example')!;
    expect((await lead.put(`/people/${self.id}`, { role: 'owner', ended: false })).status).toBe(403);
    expect((await lead.put(`/people/${owner.id}`, { role: 'reader', ended: false })).status).toBe(403);
    const link = await lead.ask('POST', '/api/people/invitations', { role: 'owner', accountId: null });
    expect(link.status).toBe(403);
    // A link to a new password of the owner would be the owner's account.
    const reset = await lead.ask('POST', '/api/people/invitations', { role: 'lead', accountId: owner.id });
    expect(reset.status).toBe(403);
    const owners = accounts.filter(({ role, endedAt }) => role === 'owner' && !endedAt);
    const own = owners.find(({ email }) => email === at.here.email)!;
    for (const { id: each } of owners.filter(({ id: other }) => other !== own.id))
      await at.here.trainer.put(`/people/${each}`, { role: 'lead', ended: false });
    const last = await at.here.trainer.put(`/people/${own.id}`, { role: 'lead', ended: false });
    expect([last.status, last.body['detail']]).toEqual([409, expect.stringContaining('last owner')]);
  });

  test('two owners who end each other at once: one of them stays', async () => {
    const second = await joined('owner', 'second@fell.example');
    const { accounts } = await people();
    const [one, two] = ['trainer', 'second'].map((who) =>
      accounts.find(({ email, role }) => email.startsWith(who) && role === 'owner')!,
    );
    const answers = await Promise.all([
      at.here.trainer.put(`/people/${two!.id}`, { role: 'lead', ended: false }),
      second.put(`/people/${one!.id}`, { role: 'lead', ended: false }),
    ]);
    expect(answers.filter(({ status }) => status === 200).length).toBeLessThan(2);
    const { rows } = (await at.here.server.db.raw(
      "select count(*)::int as n from accounts where role = 'owner' and ended_at is null and school_id = ?",
      [at.here.schoolId],
    )) as { rows: { n: number }[] };
    expect(rows[0]!.n).toBeGreaterThan(0);
  });

  test('one changes the own password with the one of now, and sees and ends where one is signed in', async () => {
    const here = await joined('trainer', 'self@fell.example');
    const phone = at.here.server.visitor();
    await phone.ask(
      'POST',
      '/api/sign-in',
      { email: 'self@fell.example', password: PASSWORD },
      { 'User-Agent': 'Anything (Android) Mobile' },
    );
    const sessions = (await here.get<{ device: string; here: boolean }[]>('/me/sessions')).body;
    expect(sessions.map(({ device, here: own }) => [device, own]).sort()).toEqual([
      ['desk', true],
      ['phone', false],
    ]);
    const next = 'gravel, marmalade and two foxes';
    const wrong = await here.ask('POST', '/api/me/password', { now: 'not mine at all', password: next });
    expect([wrong.status, (wrong.body['errors'] as { field: string }[])[0]!.field]).toEqual([422, 'now']);
    expect((await here.ask('POST', '/api/me/password', { now: PASSWORD, password: next })).status).toBe(204);
    expect((await phone.get('/me')).status).toBe(401);
    expect((await here.get('/me')).status).toBe(200);
    await phone.signIn('self@fell.example', next);
    expect((await here.ask('POST', '/api/me/sessions/ended', { id: null })).body).toEqual({ ended: 1 });
    expect((await phone.get('/me')).status).toBe(401);
  });

  test('a session that nobody used for two weeks is over', async () => {
    const idle = await joined('reader', 'idle@fell.example');
    expect((await idle.get('/me')).status).toBe(200);
    await at.here.server.db.raw(
      "update sessions set used_at = now() - interval '15 days', made_at = now() - interval '20 days' where account_id = (select id from accounts where email = 'idle@fell.example')",
    );
    const over = await idle.get('/me');
    expect([over.status, over.body['wipe']]).toEqual([401, undefined]);
  });
});

describe('trainers of a pilot', () => {
  interface RosterBody {
    readonly trainers: readonly { id: string; name: string }[];
    readonly pilots: readonly { id: string; trainerIds: string[] }[];
  }
  const roster = async (who: Visitor) => (await who.get<RosterBody>('/roster')).body;
  const of = async (who: Visitor, pilotId: string) =>
    (await roster(who)).pilots.find((pilot) => pilot.id === pilotId)!.trainerIds;

  test('are everybody at first; a pilot is handed over with a reason, and stays to be seen and logged by all', async () => {
    const { trainer, server } = at.here;
    const other = await joined('trainer', 'north.trainer@fell.example');
    const reader = await joined('reader', 'north.reader@fell.example');
    const pilotId = id();
    await trainer.put(`/pilots/${pilotId}`, PILOT);
    expect(await of(trainer, pilotId)).toEqual([]);
    const { trainers } = await roster(trainer);
    expect(trainers.some(({ name }) => name === 'A reader')).toBe(false);
    const second = trainers.find(({ name }) => name === 'A trainer')!.id;

    const give = (who: Visitor, trainerIds: readonly string[], reason = 'Moves to the north site.') =>
      who.put<{ errors?: { field: string }[] }>(`/pilots/${pilotId}/trainers`, { trainerIds, reason });
    expect((await give(reader, [second])).status).toBe(403);
    expect((await give(trainer, [second], '')).body.errors![0]!.field).toBe('reason');
    const stranger = (await at.here.server.school('Another Fell')).schoolId;
    for (const none of [id(), stranger]) {
      const { status, body } = await give(trainer, [none]);
      expect([status, body.errors![0]!.field]).toEqual([422, 'trainerIds']);
    }
    expect((await give(trainer, [second, second])).status).toBe(200);
    expect(await of(trainer, pilotId)).toEqual([second]);
    // The same again is no second line of the history.
    await give(trainer, [second]);
    const told = await server.db('events').where({ subjectId: pilotId, action: 'handed-over' });
    expect(told.map(({ reason }) => reason)).toEqual(['Moves to the north site.']);

    // An old phone that saves the pilot leaves it as it is; and whoever stands beside a crash logs it.
    const { body } = await trainer.get<{ pilot: { revision: number } }>(`/pilots/${pilotId}`);
    await other.put(`/pilots/${pilotId}`, { ...PILOT, note: 'Tall.', basedOn: body.pilot.revision });
    expect(await of(other, pilotId)).toEqual([second]);
    expect((await trainer.put(`/occurrences/${id()}`, occurrence(pilotId))).status).toBe(200);
  });
});
