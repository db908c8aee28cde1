import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { PILOT, id, startTestServer, type TestServer, Visitor } from '../testing/test-school';
import { COOKIE } from './session';

/** Who gets in, what is refused at the door, and what every answer carries. */

let server: TestServer;
let email: string;
let stopping = false;
const appFolder = mkdtempSync(path.join(tmpdir(), 'skelby-app-'));
beforeAll(async () => {
  writeFileSync(path.join(appFolder, 'index.html'), '<!DOCTYPE html><title>Skelby</title>');
  server = await startTestServer({ appFolder, isStopping: () => stopping });
  ({ email } = await server.school('Carrow Fell'));
});
afterAll(async () => {
  rmSync(appFolder, { recursive: true });
  await server.close();
});

// All come from one address here: what one test counted against it is not the next one's.
beforeEach(() => server.db('sign_in_limits').delete());

const signIn = (fields: object, headers = {}) =>
  server.visitor().ask('POST', '/api/sign-in', fields, headers);

describe('sign-in', () => {
  test('sets a cookie that scripts cannot read and other sites cannot use', async () => {
    const { status, headers } = await signIn({ email, password: 'a long enough password' });
    expect(status).toBe(200);
    expect(headers.get('Set-Cookie')).toMatch(new RegExp(`^${COOKIE}=.*httponly`, 'i'));
    expect(headers.get('Set-Cookie')).toMatch(/samesite=lax/i);
  });

  test('keeps passwords as Argon2id and sessions as hashes', async () => {
    const visitor = await server.visitor().signIn(email);
    const { passwordHash } = (await server.db('accounts').where({ email }).first()) as {
      passwordHash: string;
    };
    expect(passwordHash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    const token = /skelby_session=([\w-]+)/.exec(visitor.cookie)![1]!;
    const sessions = (await server.db('sessions').select('token_hash')) as { tokenHash: Buffer }[];
    expect(sessions.some((session) => session.tokenHash.toString().includes(token))).toBe(false);
  });

  test('answers a wrong password and an unknown address alike', async () => {
    const [wrong, unknown] = [
      await signIn({ email, password: 'no' }),
      await signIn({ email: 'nobody@school.example', password: 'no' }),
    ];
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(unknown.body);
  });

  test('stops a guesser after ten wrong tries, and says how long to wait', async () => {
    await server.school('Guessed at');
    const target = 'trainer2@school.example';
    for (let i = 0; i < 10; i += 1)
      expect((await signIn({ email: target, password: `guess ${i}` })).status).toBe(401);
    const { status, headers, body } = await signIn({ email: target, password: 'a long enough password' });
    expect(status).toBe(429);
    expect(Number(headers.get('Retry-After'))).toBeGreaterThan(0);
    expect(body['detail']).toMatch(/Wait \d+ min/);
  });

  test('a guesser who goes from server to server is stopped all the same, and a restart forgets nothing', async () => {
    const target = (await server.school('Guessed at from everywhere')).email;
    const [one, two] = [new Visitor(await server.another()), new Visitor(await server.another())];
    for (let i = 0; i < 10; i += 1)
      await (i % 2 ? one : two).ask('POST', '/api/sign-in', { email: target, password: `guess ${i}` });
    const third = new Visitor(await server.another());
    const answers = await Promise.all(
      [one, two, third].map((each) =>
        each.ask('POST', '/api/sign-in', { email: target, password: 'a long enough password' }),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual([429, 429, 429]);
  });

  test('fifty guesses at once are counted before any is verified', async () => {
    const target = (await server.school('Guessed at at once')).email;
    const answers = await Promise.all(
      Array.from({ length: 50 }, (_, i) => signIn({ email: target, password: `guess ${i}` })),
    );
    expect(answers.filter(({ status }) => status === 401).length).toBeLessThanOrEqual(10);
    expect(answers.filter(({ status }) => status === 429).length).toBeGreaterThanOrEqual(40);
  });

  test('guesses from elsewhere do not lock a trainer out of their own device, and its cookie opens nothing', async () => {
    const target = (await server.school('Guessed at from elsewhere')).email;
    const phone = await server.visitor().signIn(target);
    await phone.ask('POST', '/api/sign-out', {});
    expect(phone.cookie).toMatch(/skelby_device=/);
    expect((await phone.get('/me')).status).toBe(401);
    for (let i = 0; i < 12; i += 1) await signIn({ email: target, password: `guess ${i}` });
    expect((await signIn({ email: target, password: 'a long enough password' })).status).toBe(429);
    await phone.signIn(target);
    expect((await phone.get('/me')).status).toBe(200);
    // A stolen device cookie still gets ten guesses, and no more.
    await phone.ask('POST', '/api/sign-out', {});
    const guesses = [];
    for (let i = 0; i < 11; i += 1)
      guesses.push(
        (await phone.ask('POST', '/api/sign-in', { email: target, password: `guess ${i}` })).status,
      );
    expect(guesses).toEqual([...Array.from({ length: 10 }, () => 401), 429]);
  });

  test('a phone that two trainers share is known for both', async () => {
    const [one, two] = [await server.school('Shared one'), await server.school('Shared two')];
    const phone = await server.visitor().signIn(one.email);
    await phone.signIn(two.email);
    for (const target of [one.email, two.email]) {
      for (let i = 0; i < 11; i += 1) await signIn({ email: target, password: `guess ${i}` });
      await phone.signIn(target);
      expect((await phone.get('/me')).status).toBe(200);
    }
  });

  test('no address stands in the table of limits', async () => {
    await signIn({ email: 'somebody@else.example', password: 'no' });
    const rows = (await server.db('sign_in_limits').select('key')) as { key: string }[];
    expect(rows.length).toBeGreaterThan(0);
    expect(rows.filter(({ key }) => /@|127\.0/.test(key))).toEqual([]);
  });

  test('behind TLS: cookies of this host alone, nothing over plain HTTP any more, and the scheme is compared', async () => {
    const base = await server.another(1);
    const over = (scheme: 'http' | 'https', path: string, cookie = '') =>
      fetch(base + path, {
        method: path.endsWith('sign-in') ? 'POST' : 'GET',
        headers: {
          Origin: base.replace('http:', `${scheme}:`),
          'X-Forwarded-Proto': 'https',
          'X-Forwarded-For': '203.0.113.9',
          'Content-Type': 'application/json',
          Cookie: cookie,
        },
        ...(path.endsWith('sign-in')
          ? { body: JSON.stringify({ email, password: 'a long enough password' }) }
          : {}),
      });
    const signed = await over('https', '/api/sign-in');
    expect(signed.status).toBe(200);
    expect(signed.headers.get('Strict-Transport-Security')).toMatch(/^max-age=\d{7,}/);
    const set = signed.headers.getSetCookie();
    expect(set).toHaveLength(2);
    for (const cookie of set) expect(cookie).toMatch(/^__Host-skelby_\w+=.*path=\/;.*secure/i);
    const session = set[0]!.split(';')[0]!;
    expect((await over('https', '/api/me', session)).status).toBe(200);
    // One that a neighbour could have set counts for nothing.
    expect((await over('https', '/api/me', session.replace('__Host-', ''))).status).toBe(401);
    expect((await over('http', '/api/sign-in')).status).toBe(403);
    // Without a proxy to trust, a header says nothing.
    const plain = await fetch(`${server.base}/api/me`, { headers: { 'X-Forwarded-Proto': 'https' } });
    expect(plain.headers.get('Strict-Transport-Security')).toBeNull();
  });

  test('names what is missing', async () => {
    const { status, headers, body } = await signIn({ email: 'hanne' });
    expect(status).toBe(422);
    expect(headers.get('Content-Type')).toContain('application/problem+json');
    expect(body['errors']).toEqual(
      expect.arrayContaining([
        { field: 'email', message: 'E-mail does not look like an address: write it as name@place.' },
        expect.objectContaining({ field: 'password' }),
      ]),
    );
  });

  test('ends with sign-out and with its date', async () => {
    const visitor = await server.visitor().signIn(email);
    const cookie = visitor.cookie;
    expect((await visitor.get('/me')).body).toMatchObject({ name: 'Trainer 1', schoolName: 'Carrow Fell' });
    await visitor.ask('POST', '/api/sign-out', {});
    visitor.cookie = cookie;
    expect((await visitor.get('/me')).status).toBe(401);
    const late = await server.visitor().signIn(email);
    await server.db('sessions').update({ expiresAt: new Date(Date.now() - 1000) });
    expect((await late.get('/me')).status).toBe(401);
  });
});

describe('at the door', () => {
  test.each(['/today', '/roster', '/flights', '/me', `/pilots/${id()}`])(
    '%s wants a session',
    async (address) => {
      expect((await server.visitor().get(address)).status).toBe(401);
    },
  );

  test('no way of writing an address goes round the question who asks', async () => {
    const stranger = server.visitor();
    const addresses = [
      '/today',
      '/roster',
      '/flights',
      '/me',
      '/sessions',
      '/drills',
      '/experience',
      '/experience/calibration',
      '/school/rule',
      '/carry',
      '/occurrences.csv',
      '/occurrences.json',
      '/occurrences.geojson',
      '/course',
      '/insights',
      '/search',
      '/signs',
      '/agreement',
      `/pilots/${id()}`,
      `/weaknesses/${id()}`,
      `/occurrences/${id()}/debrief`,
    ];
    const otherwise = (address: string) =>
      ['/api', '/API', '/Api', '/api/'].flatMap((prefix) => [
        prefix + address,
        prefix + address.toUpperCase(),
        `${prefix}${address}/`,
      ]);
    for (const address of addresses.flatMap(otherwise))
      expect([address, String((await stranger.ask('GET', address)).status)]).toEqual([
        address,
        expect.stringMatching(/401|404/),
      ]);
    for (const address of otherwise(`/reps/${id()}`))
      expect([address, String((await stranger.ask('PUT', address, {})).status)]).toEqual([
        address,
        expect.stringMatching(/401|404/),
      ]);
    const trainer = await server.visitor().signIn(email);
    expect((await trainer.ask('GET', '/API/today')).status).toBe(404);
    expect((await trainer.get('/today')).status).toBe(200);
  });

  test.each([[undefined], ['https://elsewhere.example'], ['null']])(
    'a write with the origin %s is refused',
    async (origin) => {
      const visitor = await server.visitor().signIn(email);
      const headers: Record<string, string> = {
        Cookie: visitor.cookie,
        'Content-Type': 'application/json',
        ...(origin ? { Origin: origin } : {}),
      };
      const { status } = await fetch(`${server.base}/api/pilots/${id()}`, {
        method: 'PUT',
        headers,
        body: JSON.stringify(PILOT),
      });
      expect(status).toBe(403);
    },
  );

  test('a body that is no JSON, and one that is too large, are refused in words', async () => {
    const visitor = await server.visitor().signIn(email);
    const broken = await visitor.put(`/pilots/${id()}`, '{"name": ');
    expect(broken.status).toBe(400);
    expect(broken.body['detail']).toContain('could not be read');
    const large = await visitor.put(`/pilots/${id()}`, { ...PILOT, note: 'x'.repeat(70_000) });
    expect(large.status).toBe(413);
    expect(large.body['detail']).toContain('at most 64 kB');
  });

  test('unknown addresses are problem documents under the API and the app elsewhere', async () => {
    const visitor = await server.visitor().signIn(email);
    const api = await visitor.get('/nothing');
    expect(api.status).toBe(404);
    expect(api.headers.get('Content-Type')).toContain('application/problem+json');
    const page = await visitor.ask('GET', '/weakness/anything');
    expect(page.status).toBe(200);
    expect(page.headers.get('Content-Type')).toContain('text/html');
    expect((await visitor.ask('GET', '/missing.js')).status).toBe(404);
    expect((await visitor.ask('GET', '/%E0%A4%A')).status).toBe(400);
    expect((await visitor.ask('GET', '/..%2f..%2fetc/passwd.txt')).status).toBe(404);
  });

  test('every answer carries a content policy without foreign scripts', async () => {
    const { headers } = await server.visitor().ask('GET', '/');
    const policy = headers.get('Content-Security-Policy')!;
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers.get('X-Content-Type-Options')).toBe('nosniff');
    expect(headers.get('Permissions-Policy')).toContain('camera=(), microphone=(), geolocation=()');
    expect(headers.get('Permissions-Policy')).not.toContain('gyroscope');
  });

  test('what the API answers is not kept by anybody on the way', async () => {
    expect((await server.visitor().get('/me')).headers.get('Cache-Control')).toBe('no-store');
  });
});

describe('health', () => {
  test('alive and ready while it serves; alive but not ready once it stops', async () => {
    const statuses = async () =>
      Promise.all(
        ['/healthz', '/readyz'].map(async (address) => (await server.visitor().ask('GET', address)).status),
      );
    expect(await statuses()).toEqual([200, 200]);
    stopping = true;
    expect(await statuses()).toEqual([200, 503]);
    stopping = false;
  });
});
