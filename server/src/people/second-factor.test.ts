import { createHmac } from 'node:crypto';
import type { NewSecondFactor, OwnSecondFactor } from '@skelby/core/pages/people';
import { ownSchool } from '../testing/own-school';
import type { Visitor } from '../testing/test-school';

const at = ownSchool('Second School');
const PASSWORD = 'a long enough password';

/** RFC 4648, section 6: five bits a sign. */
function fromBase32(text: string): Buffer {
  const bits = [...text]
    .map((sign) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(sign).toString(2).padStart(5, '0'))
    .join('');
  return Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
}

/** RFC 6238 over RFC 4226, written from their text: a second way to the code beside the library the server uses. */
function codeOf(secret: Buffer, seconds: number): string {
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(seconds / 30)));
  const mac = createHmac('sha1', secret).update(counter).digest();
  const offset = mac.at(-1)! & 15;
  return String((mac.readUInt32BE(offset) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

// RFC 6238, appendix B, the last six of its eight figures.
test.each([
  [59, '287082'],
  [1_111_111_109, '081804'],
  [1_234_567_890, '005924'],
  [20_000_000_000, '353130'],
])('the code at %d s is the one the standard has', (seconds, code) => {
  expect(codeOf(Buffer.from('12345678901234567890'), seconds)).toBe(code);
});

const now = (secret: string, ahead = 0) => codeOf(fromBase32(secret), Date.now() / 1000 + ahead);

async function account(name: string): Promise<{ readonly visitor: Visitor; readonly email: string }> {
  const { server } = at.here;
  const { email } = await server.school(name);
  return { visitor: await server.visitor().signIn(email), email };
}

/** Sets one up as a person does. */
async function switchedOn(visitor: Visitor) {
  const { body: begun } = await visitor.ask<NewSecondFactor>('POST', '/api/me/second-factor', {
    now: PASSWORD,
  });
  const { status, body } = await visitor.ask<{ codes: string[] }>('POST', '/api/me/second-factor/on', {
    code: now(begun.secret),
  });
  expect(status).toBe(200);
  return { secret: begun.secret, codes: body.codes };
}

const tries = (email: string, code?: string) =>
  at.here.server
    .visitor()
    .ask('POST', '/api/sign-in', { email, password: PASSWORD, ...(code ? { code } : {}) });

test('is asked for from its first code on, and a right code lets in once', async () => {
  const { visitor, email } = await account('On School');
  expect((await visitor.get<OwnSecondFactor>('/me/second-factor')).body).toEqual({ since: null, spare: 0 });
  const { body: begun } = await visitor.ask<NewSecondFactor>('POST', '/api/me/second-factor', {
    now: PASSWORD,
  });
  expect(begun.address).toContain(`secret=${begun.secret}`);
  // Begun and not finished: nobody is locked out.
  expect((await tries(email)).status).toBe(200);
  const wrong = await visitor.ask('POST', '/api/me/second-factor/on', { code: '000000' });
  expect([wrong.status, wrong.body]).toMatchObject([422, { errors: [{ field: 'code' }] }]);
  const on = await visitor.ask<{ codes: string[] }>('POST', '/api/me/second-factor/on', {
    code: now(begun.secret),
  });
  expect(new Set(on.body.codes).size).toBe(8);
  expect((await visitor.get<OwnSecondFactor>('/me/second-factor')).body).toMatchObject({ spare: 8 });

  const asked = await tries(email);
  expect([asked.status, asked.body, asked.headers.getSetCookie()]).toMatchObject([
    401,
    { needs: 'code' },
    [],
  ]);
  const next = now(begun.secret, 30);
  expect((await tries(email, next)).status).toBe(200);
  expect((await tries(email, next)).body).toMatchObject({ errors: [{ field: 'code' }] });
  // An older one than was given is spent too; the code that switched it on as well.
  expect((await tries(email, now(begun.secret))).status).toBe(422);
});

test('two at once with one code: one is let in', async () => {
  const { visitor, email } = await account('Race School');
  const { secret } = await switchedOn(visitor);
  const code = now(secret, 30);
  const answers = await Promise.all([tries(email, code), tries(email, code), tries(email, code)]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 422, 422]);
});

test('a spare code lets in once, written with or without its dash', async () => {
  const { visitor, email } = await account('Spare School');
  const { codes } = await switchedOn(visitor);
  expect((await tries(email, codes[0]!.replace('-', ' ').toUpperCase())).status).toBe(200);
  expect((await tries(email, codes[0])).status).toBe(422);
  expect((await tries(email, codes[1])).status).toBe(200);
  expect((await visitor.get<OwnSecondFactor>('/me/second-factor')).body).toMatchObject({ spare: 6 });
});

test('codes cannot be tried through: wrong ones count as wrong sign-ins, and a wrong password tells nothing of a code', async () => {
  const { visitor, email } = await account('Guess School');
  await switchedOn(visitor);
  const wrong = await at.here.server
    .visitor()
    .ask('POST', '/api/sign-in', { email, password: 'not this one at all', code: '123456' });
  expect([wrong.status, wrong.body['needs']]).toEqual([401, undefined]);
  let tried = 0;
  for (; tried < 12; tried += 1) if ((await tries(email, '999999')).status === 429) break;
  expect(tried).toBeLessThan(11);
});

test('it goes with the password, or with a link to a new one; neither the code nor a session alone takes it off', async () => {
  const { visitor, email } = await account('Off School');
  await switchedOn(visitor);
  const refused = await visitor.ask('POST', '/api/me/second-factor/off', { now: 'not this one at all' });
  expect([refused.status, refused.body]).toMatchObject([422, { errors: [{ field: 'now' }] }]);
  // What is on is not begun over: a borrowed session sets up none of its own.
  expect((await visitor.ask('POST', '/api/me/second-factor', { now: PASSWORD })).status).toBe(409);
  expect((await visitor.ask('POST', '/api/me/second-factor/off', { now: PASSWORD })).status).toBe(204);
  expect((await tries(email)).status).toBe(200);
  const { body } = await visitor.get<{ events: { action: string }[] }>('/history');
  expect(JSON.stringify(body)).toContain('second-factor-off');
});

test('its secret is read by no select, and one at a time through the function', async () => {
  const { server } = at.here;
  const { rows } = (await server.db.raw(`
    select has_column_privilege('skelby_app', 'accounts', 'second_secret', 'select') as secret,
      has_column_privilege('skelby_app', 'accounts', 'spare_hashes', 'select') as spare,
      has_column_privilege('skelby_app', 'accounts', 'second_step', 'select') as step`)) as {
    rows: unknown[];
  };
  expect(rows).toEqual([{ secret: false, spare: false, step: false }]);
});
