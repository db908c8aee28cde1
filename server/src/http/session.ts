import { createHash, randomBytes } from 'node:crypto';
import type { DeviceKind } from '@skelby/core/pages/people';
import type { Role } from '@skelby/core/people/roles';
import { signInWithCodeShape } from '@skelby/core/schemas/sign-in';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { v7 as uuid } from 'uuid';
import { inSchool, type SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { recordEvent } from '../facts/events';
import { asksByToken, notForTokens } from './bearer';
import { bodyOf } from './body';
import { accountsOf, openedBy, type PersonsAccount } from './accounts-of';
import { assertSecondFactor, type OfAccount } from './second-factor';
import { SignInLimits } from './sign-in-limits';
import { assertPlain } from '../problem/plain';
import { badField, Problem } from '../problem/problem';

export const COOKIE = 'skelby_session';
/** The session that a sandbox was opened from, while one is in there. */
const OWN = 'skelby_own';
/** Says that this account has signed in here before; it opens nothing. */
const DEVICE = 'skelby_device';
const SESSION_DAYS = 30;
/** As long as browsers keep a cookie (RFC 6265bis). */
const DEVICE_DAYS = 400;
const MS_PER_DAY = 86_400_000;

export interface Who {
  readonly schoolId: string;
  readonly accountId: string;
  readonly name: string;
  readonly schoolName: string;
  readonly role: Role;
  /** Whose page a pilot's account opens; null for everybody else's. */
  readonly pilotId: string | null;
  readonly sessionId: string;
  /** Name of the program that asks by a token; absent: it is a person. */
  readonly program?: string;
}

/** Behind TLS a cookie is this host's alone, and no neighbour can set it (RFC 6265bis, "__Host-"). */
const cookieOf = (ctx: Context, name: string): string => (ctx.secure ? `__Host-${name}` : name);
const cookieSettings = (ctx: Context) =>
  ({ httpOnly: true, sameSite: 'lax', secure: ctx.secure, overwrite: true }) as const;

const tokenHash = (token: string) => createHash('sha256').update(token).digest();

const wrong = () =>
  new Problem(401, 'Not signed in', 'E-mail or password is not right. Check both and try again.');

/** What a browser says of itself: its device's token, and whether this address has signed in on it before. */
interface Device {
  readonly token: string | null;
  readonly isKnown: boolean;
  readonly kind: DeviceKind;
}

const kindOf = (ctx: Context): DeviceKind => (/Mobi|Android/.test(ctx.get('User-Agent')) ? 'phone' : 'desk');

async function deviceOf(db: Knex, ctx: Context, email: string): Promise<Device> {
  const token = ctx.cookies.get(cookieOf(ctx, DEVICE)) ?? null;
  const kind = kindOf(ctx);
  if (token === null) return { token, isKnown: false, kind };
  const { rows } = (await db.raw('select is_device_of(?, ?) as own', [email, tokenHash(token)])) as {
    rows: { own: boolean }[];
  };
  return { token, isKnown: rows[0]!.own, kind };
}

const daysFromNow = (count: number) => new Date(Date.now() + count * MS_PER_DAY);
const newToken = () => randomBytes(32).toString('base64url');

/**
 * A new session, and the device it is on where that was not known; a device that two trainers share is known for both.
 * @returns the cookies to set, by name
 */
async function beginSession(db: Knex, account: OfAccount, device: Device) {
  const { accountId } = account;
  const [token, deviceToken] = [newToken(), device.token ?? newToken()];
  const expires = daysFromNow(SESSION_DAYS);
  await inSchool(db, account, async (school) => {
    const { tx, schoolId } = school;
    await recordEvent(school, { action: 'signed-in', subject: 'account', subjectId: accountId });
    await tx('sessions').where('expires_at', '<', tx.fn.now()).delete();
    await tx('sessions').insert({
      schoolId,
      id: uuid(),
      accountId,
      tokenHash: tokenHash(token),
      expiresAt: expires,
      device: device.kind,
    });
    if (device.isKnown) return;
    await tx('devices').where('made_at', '<', daysFromNow(-DEVICE_DAYS)).delete();
    await tx('devices').insert({ schoolId, id: uuid(), accountId, tokenHash: tokenHash(deviceToken) });
  });
  return [
    { name: COOKIE, token, expires },
    ...(device.isKnown ? [] : [{ name: DEVICE, token: deviceToken, expires: daysFromNow(DEVICE_DAYS) }]),
  ];
}

/** Begins a session for whoever has shown who they are, and hands its cookies over. */
async function letIn(db: Knex, ctx: Context, account: OfAccount, device: Device): Promise<void> {
  for (const { name, token, expires } of await beginSession(db, account, device))
    ctx.cookies.set(cookieOf(ctx, name), token, { ...cookieSettings(ctx), expires });
}

/** The same for somebody who has just made an account, or a new password for it. */
export const letInNew = async (
  db: Knex,
  ctx: Context,
  account: OfAccount & { readonly email: string },
): Promise<void> => letIn(db, ctx, account, await deviceOf(db, ctx, account.email));

/**
 * Counts as signing in does.
 * @returns the account whose password it is
 * @throws Problem 422 of the field `now` unless it is that of the account
 */
export async function assertPassword(
  db: Knex,
  ctx: Context,
  { accountId }: Pick<OfAccount, 'accountId'>,
  { email, password }: { readonly email: string; readonly password: string },
): Promise<PersonsAccount> {
  const limits = new SignInLimits(db);
  const trying = { email, source: ctx.ip, device: null };
  await limits.count(trying, (seconds) => ctx.set('Retry-After', String(seconds)));
  const own = (await accountsOf(db, email)).filter((account) => account.accountId === accountId);
  const [right] = await openedBy(password, own);
  if (!right) throw badField('now', 'Password is not yours: type the one you sign in with now.');
  await limits.wasRight(trying);
  return right;
}

const whichSchool = (accounts: readonly PersonsAccount[]) =>
  new Problem(409, 'Which school', 'You are at several schools: choose the one to sign in to.', {
    more: {
      needs: 'school',
      schools: accounts.map(({ schoolId: id, schoolName: name }) => ({ id, name })),
    },
  });

export function makeSignIn(db: Knex) {
  const limits = new SignInLimits(db);
  return async function signIn(ctx: Context): Promise<void> {
    assertPlain(bodyOf(ctx));
    const { email, password, code, schoolId } = await signInWithCodeShape.validate(bodyOf(ctx), {
      abortEarly: false,
    });
    const device = await deviceOf(db, ctx, email);
    const trying = { email, source: ctx.ip, device: device.isKnown ? device.token : null };
    await limits.count(trying, (seconds) => ctx.set('Retry-After', String(seconds)));
    const opened = await openedBy(password, await accountsOf(db, email));
    if (opened.length === 0) throw wrong();
    const account = opened.length === 1 ? opened[0] : opened.find((each) => each.schoolId === schoolId);
    if (!account) throw whichSchool(opened);
    await assertSecondFactor(db, account, code);
    await limits.wasRight(trying);
    await letIn(db, ctx, account, device);
    ctx.body = { name: account.name };
  };
}

/**
 * One query, and mostly no transaction around it: the function sees across schools by itself and gives away nothing
 * but whose token it is.
 * @throws Problem 401 that tells the device to wipe what it holds, when the session was ended from elsewhere
 */
async function whoHas(db: Knex, token: string): Promise<Who | undefined> {
  const { rows } = (await db
    // Named, since it is planned once: a function that tells more after a migration gives these all the same.
    .raw(
      `select school_id, account_id, name, school_name, role, pilot_id, session_id, seen_lately, ended
         from session_by_token(?)`,
      [tokenHash(token)],
    )
    .options(prepared('session'))) as {
    rows: (Who & { readonly seenLately: boolean; readonly ended: boolean })[];
  };
  const [found] = rows;
  if (!found) return undefined;
  const { seenLately, ended, ...who } = found;
  if (ended)
    throw new Problem(401, 'Signed out', 'You were signed out here from elsewhere. Sign in to go on.', {
      more: { wipe: true },
    });
  // Use is seen to five minutes: not every reading is a write.
  if (!seenLately)
    await inSchool(db, who, ({ tx }) =>
      tx('sessions').where({ id: who.sessionId }).update({ usedAt: tx.fn.now() }),
    );
  return who;
}

/**
 * Who is signed in. Every handler that needs somebody asks here, so that no way to a handler goes round the
 * question.
 * @throws Problem 401 when nobody is, 403 for a program
 */
export async function whoAsks(db: Knex, ctx: Context): Promise<Who> {
  // A program that got hold of a cookie, too, is a program all the same.
  if (asksByToken(ctx)) throw notForTokens();
  const token = ctx.cookies.get(cookieOf(ctx, COOKIE));
  const who = token ? await whoHas(db, token) : undefined;
  if (!who) throw new Problem(401, 'Not signed in', 'Sign in to go on.');
  ctx.state['who'] = who;
  return who;
}

/** Ends a session by whoever has it: nothing is left of it. */
export const endSession = ({ tx }: SchoolTx, id: string): Promise<unknown> =>
  tx('sessions').where({ id }).delete() as unknown as Promise<unknown>;

const endOf = (db: Knex, who: Who) => inSchool(db, who, (school) => endSession(school, who.sessionId));

/** Whose session a cookie holds; what was ended from elsewhere is nobody's. */
async function ownedBy(db: Knex, ctx: Context, cookie: string): Promise<Who | undefined> {
  const token = ctx.cookies.get(cookieOf(ctx, cookie));
  if (!token) return undefined;
  try {
    return await whoHas(db, token);
  } catch (error) {
    if (error instanceof Problem) return undefined;
    throw error;
  }
}

/** Ends the session, and where it is one in a sandbox the own one behind it. */
export const signOut = (db: Knex) => async (ctx: Context) => {
  const who = await whoAsks(db, ctx);
  const own = await ownedBy(db, ctx, OWN);
  await endOf(db, who);
  if (own) await endOf(db, own);
  for (const cookie of [COOKIE, OWN]) ctx.cookies.set(cookieOf(ctx, cookie), null, cookieSettings(ctx));
  ctx.status = 204;
};

/** Goes into a sandbox: a session of its own there, and the one before is put aside. */
export async function letIntoSandbox(db: Knex, ctx: Context, sandbox: OfAccount): Promise<void> {
  const own = ctx.cookies.get(cookieOf(ctx, COOKIE));
  await letIn(db, ctx, sandbox, { token: null, isKnown: true, kind: kindOf(ctx) });
  ctx.cookies.set(cookieOf(ctx, OWN), own, { ...cookieSettings(ctx), expires: daysFromNow(SESSION_DAYS) });
}

/**
 * Goes back to the session that was put aside, as long as it is one.
 * @throws Problem 401 where it is over; the one in the sandbox is over then, too
 */
export async function leaveSandbox(db: Knex, ctx: Context, inside: Who): Promise<void> {
  const own = await ownedBy(db, ctx, OWN);
  await endOf(db, inside);
  if (!own)
    throw new Problem(401, 'Not signed in', 'Your sign-in is over. Sign in again.', { more: { wipe: true } });
  ctx.cookies.set(cookieOf(ctx, COOKIE), ctx.cookies.get(cookieOf(ctx, OWN)), {
    ...cookieSettings(ctx),
    expires: daysFromNow(SESSION_DAYS),
  });
  ctx.cookies.set(cookieOf(ctx, OWN), null, cookieSettings(ctx));
}
