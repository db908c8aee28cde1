import { COMMANDS } from '@skelby/core/commands/commands';
import type { AnyCommand } from '@skelby/core/commands/command';
import type { HistoryPage } from '@skelby/core/pages/history';
import type { PeoplePage } from '@skelby/core/pages/people';
import { may, RIGHT_OF, type TokenRole } from '@skelby/core/people/roles';
import { ASKED_A_MINUTE } from '../http/api-token';
import { ownSchool } from '../testing/own-school';
import { id, occurrence, PILOT } from '../testing/test-school';

/** A program of the school gets as far as its role and no further, whoever holds its token, until it is ended. */

const at = ownSchool('Token School');

const made = async (role: TokenRole = 'trainer', name = 'Bench book', by = at.here.trainer) =>
  (await by.ask<{ id: string; token: string }>('POST', '/api/people/tokens', { name, role })).body;

/** As a program asks: no cookie, no origin. */
async function ask(token: string, method: string, path: string, body?: unknown, headers = {}) {
  const answer = await fetch(`${at.here.server.base}/api${path}`, {
    method,
    headers: {
      Authorization: `Bearer ${token}`,
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      ...headers,
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return { status: answer.status, headers: answer.headers, text: await answer.text() };
}

test('a program reads and enters by its token, and the history names it beside whoever made it', async () => {
  const { token } = await made();
  const pilotId = id();
  expect((await ask(token, 'PUT', `/pilots/${pilotId}`, PILOT)).status).toBe(200);
  expect((await ask(token, 'PUT', `/occurrences/${id()}`, occurrence(pilotId))).status).toBe(200);
  expect(JSON.parse((await ask(token, 'GET', '/today')).text)).toMatchObject({ toDebrief: [{ pilotId }] });
  expect((await ask(token, 'GET', '/occurrences.csv')).text).toContain(PILOT.name);
  const { entries } = (await at.here.trainer.get<HistoryPage>('/history')).body;
  expect(entries.map(({ subject, by }) => `${subject} ${by}`)).toEqual(
    expect.arrayContaining(['occurrence Trainer 1, by Bench book', 'token Trainer 1']),
  );
});

test('it is told once: no table and no page holds it, and its use is seen', async () => {
  const { id: tokenId, token } = await made('reader', 'Wall clock');
  await ask(token, 'GET', '/today');
  const { tokens } = (await at.here.trainer.get<PeoplePage>('/people')).body;
  expect(tokens.find((each) => each.id === tokenId)).toEqual({
    ...{ id: tokenId, name: 'Wall clock', role: 'reader', madeBy: 'Trainer 1' },
    ...{ madeAt: expect.any(String) as string, lastUsedAt: expect.any(String) as string },
  });
  const { rows } = (await at.here.server.db.raw('select row_to_json(t)::text as line from api_tokens t')) as {
    rows: { line: string }[];
  };
  expect(rows.some(({ line }) => line.includes(token.slice(7)))).toBe(false);
});

test.each(['reader', 'trainer'] as const)(
  'a token made for a %s may what its role may, and sets no school',
  async (role) => {
    const { token } = await made(role);
    for (const { name, address } of (COMMANDS as readonly AnyCommand[]).filter(
      ({ by }) => by === 'trainer',
    )) {
      const path = address.pattern.replaceAll(/:\w+/g, () => id());
      const { status } = await ask(token, 'PUT', path, {});
      expect([name, status === 403]).toEqual([name, !may(role, RIGHT_OF[name as keyof typeof RIGHT_OF])]);
    }
    expect((await ask(token, 'GET', '/occurrences.json')).status).toBe(role === 'trainer' ? 200 : 403);
  },
);

test('no token gets to an account, to people, to the history, or to what only a person does', async () => {
  const { token } = await made();
  const closed: readonly (readonly [method: string, path: string])[] = [
    ['GET', '/me'],
    ['GET', '/me/sessions'],
    ['POST', '/me/sessions/ended'],
    ['POST', '/me/password'],
    ['POST', '/me/calendar'],
    ['GET', '/me/second-factor'],
    ['POST', '/me/second-factor'],
    ['GET', '/me/schools'],
    ['POST', '/me/school'],
    ['POST', '/me/sandbox'],
    ['POST', '/sign-out'],
    ['GET', '/people'],
    ['POST', '/people/invitations'],
    ['POST', '/people/tokens'],
    ['PUT', `/people/${id()}`],
    ['GET', '/history'],
    ['GET', '/history.csv'],
    ['POST', '/imports?format=csv'],
    ['GET', '/imports'],
    ['POST', `/pilots/${id()}/forget`],
    ['GET', '/live'],
    ['GET', '/own'],
    ['PUT', `/own/near-miss/${id()}`],
    ['POST', '/invitation'],
  ];
  // The cookie of whoever is signed in beside it opens nothing more: a token that comes is what asks.
  for (const headers of [{}, { Cookie: at.here.trainer.cookie }])
    for (const [method, path] of closed) {
      const { status } = await ask(token, method, path, method === 'GET' ? undefined : {}, headers);
      expect([method, path, [401, 403, 404].includes(status) ? 'closed' : status]).toEqual([
        method,
        path,
        'closed',
      ]);
    }
  expect((await at.here.trainer.get('/me')).status).toBe(200);
});

test('another school is behind its walls', async () => {
  const { server } = at.here;
  const other = await server.school('Next valley');
  const { token } = await made('trainer', 'Theirs', other.trainer);
  const pilotId = id();
  await at.here.trainer.put(`/pilots/${pilotId}`, PILOT);
  expect((await ask(token, 'GET', `/pilots/${pilotId}`)).status).toBe(404);
  expect((await ask(token, 'GET', '/roster')).text).not.toContain(pilotId);
});

describe('over', () => {
  test('once it is ended', async () => {
    const { id: tokenId, token } = await made();
    expect((await at.here.trainer.put(`/people/tokens/${tokenId}/ended`, {})).status).toBe(200);
    expect((await ask(token, 'GET', '/today')).status).toBe(401);
    expect((await at.here.trainer.put(`/people/tokens/${tokenId}/ended`, {})).status).toBe(404);
  });

  test.each([
    ['ended', { ended_at: new Date() }],
    ['made less of', { role: 'trainer' }],
  ])('as long as the account that made it is %s', async (_, change) => {
    const { server } = at.here;
    const { email, trainer } = await server.school('Over there');
    const { token } = await made('reader', 'Left behind', trainer);
    expect((await ask(token, 'GET', '/today')).status).toBe(200);
    await server.db('accounts').where({ email }).update(change);
    expect((await ask(token, 'GET', '/today')).status).toBe(401);
  });

  test.each(['', 'skelby_', `skelby_${'x'.repeat(43)}`, `skelby_${'é'.repeat(43)}`, "skelby_' or true --"])(
    'or never was one: %j',
    async (token) => {
      const { status } = await ask(encodeURI(token), 'GET', '/today');
      expect(status).toBe(401);
    },
  );
});

test('a program that asks without end is told to wait, and others go on', async () => {
  const [{ id: tokenId, token }, other] = [await made('reader', 'In a loop'), await made('reader', 'Calm')];
  await ask(token, 'GET', '/drills');
  const { server } = at.here;
  await server
    .db('sign_in_limits')
    .where({ key: `token:${tokenId}` })
    .update({ points: ASKED_A_MINUTE });
  const { status, headers } = await ask(token, 'GET', '/drills');
  expect([status, Number(headers.get('Retry-After')) > 0]).toEqual([429, true]);
  expect((await ask(other.token, 'GET', '/drills')).status).toBe(200);
});

test('a name and a role are asked for, and a school has not more than twenty', async () => {
  const { trainer } = await at.here.server.school('Many programs');
  const refused = async (body: unknown) =>
    (await trainer.ask('POST', '/api/people/tokens', body)).body['errors'];
  expect(await refused({ role: 'reader' })).toMatchObject([{ field: 'name' }]);
  expect(await refused({ name: 'x', role: 'owner' })).toMatchObject([{ field: 'role' }]);
  for (let i = 0; i < 20; i += 1) await made('reader', `Program ${i}`, trainer);
  expect((await trainer.ask('POST', '/api/people/tokens', { name: 'x', role: 'reader' })).status).toBe(409);
});
