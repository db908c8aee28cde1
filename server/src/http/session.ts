import { createHash, randomBytes } from 'node:crypto';
import { verify } from '@node-rs/argon2';
import { signInShape } from '@skelby/core/schemas/sign-in';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { v7 as uuid } from 'uuid';
import { inSchool, NO_SCHOOL } from '../db/in-school';
import { hashPassword } from '../db/password';
import { bodyOf } from './body';
import { assertPlain } from '../problem/plain';
import { Problem } from '../problem/problem';

export const COOKIE = 'skelby_session';
const SESSION_DAYS = 30;
const MS_PER_DAY = 86_400_000;

export interface Who {
  readonly schoolId: string;
  readonly accountId: string;
  readonly name: string;
  readonly schoolName: string;
}

const tokenHash = (token: string) => createHash('sha256').update(token).digest();

const wrong = () =>
  new Problem(401, 'Not signed in', 'E-mail or password is not right. Check both and try again.');

/** Verified when no account has the address, so that the answer takes as long either way. */
const decoy = hashPassword(randomBytes(16).toString('hex'));

const FAILURES = { perAddress: 10, perSource: 60, seconds: 900 };

export function makeSignIn(db: Knex) {
  const perAddress = new RateLimiterMemory({ points: FAILURES.perAddress, duration: FAILURES.seconds });
  const perSource = new RateLimiterMemory({ points: FAILURES.perSource, duration: FAILURES.seconds });

  const refuseWhenTooMany = async (ctx: Context, email: string) => {
    for (const [limiter, id, points] of [
      [perAddress, email, FAILURES.perAddress],
      [perSource, ctx.ip, FAILURES.perSource],
    ] as const) {
      const so = await limiter.get(id);
      if (so instanceof RateLimiterRes && so.consumedPoints >= points) {
        const minutes = Math.ceil(so.msBeforeNext / 60_000);
        ctx.set('Retry-After', String(Math.ceil(so.msBeforeNext / 1000)));
        throw new Problem(
          429,
          'Too many tries',
          `Too many wrong sign-ins. Wait ${minutes} min, then try again.`,
        );
      }
    }
  };

  return async function signIn(ctx: Context): Promise<void> {
    assertPlain(bodyOf(ctx));
    const { email, password } = await signInShape.validate(bodyOf(ctx), { abortEarly: false });
    await refuseWhenTooMany(ctx, email);
    const account = await inSchool(db, { schoolId: NO_SCHOOL, accountId: null }, async ({ tx }) => {
      const { rows } = (await tx.raw('select * from account_by_email(?)', [email])) as {
        rows: { schoolId: string; accountId: string; name: string; passwordHash: string }[];
      };
      return rows[0];
    });
    const right = await verify(account?.passwordHash ?? (await decoy), password);
    if (!account || !right) {
      await Promise.all([perAddress.penalty(email), perSource.penalty(ctx.ip)]);
      throw wrong();
    }
    await perAddress.delete(email);
    const token = randomBytes(32).toString('base64url');
    const expires = new Date(Date.now() + SESSION_DAYS * MS_PER_DAY);
    await inSchool(db, account, async ({ tx, schoolId }) => {
      await tx('sessions').where('expires_at', '<', tx.fn.now()).delete();
      await tx('sessions').insert({
        schoolId,
        id: uuid(),
        accountId: account.accountId,
        tokenHash: tokenHash(token),
        expiresAt: expires,
      });
    });
    ctx.cookies.set(COOKIE, token, {
      httpOnly: true,
      sameSite: 'lax',
      secure: ctx.secure,
      expires,
      overwrite: true,
    });
    ctx.body = { name: account.name };
  };
}

/**
 * One query, and no transaction around it: the function sees across schools by itself and gives away nothing
 * but whose token it is.
 */
async function whoHas(db: Knex, token: string): Promise<Who | undefined> {
  const { rows } = (await db.raw('select * from session_by_token(?)', [tokenHash(token)])) as { rows: Who[] };
  return rows[0];
}

/**
 * Who is signed in. Every handler that needs somebody asks here, so that no way to a handler goes round the
 * question.
 * @throws Problem 401 when nobody is
 */
export async function whoAsks(db: Knex, ctx: Context): Promise<Who> {
  const token = ctx.cookies.get(COOKIE);
  const who = token ? await whoHas(db, token) : undefined;
  if (!who) throw new Problem(401, 'Not signed in', 'Sign in to go on.');
  ctx.state['who'] = who;
  return who;
}

export const signOut = (db: Knex) => async (ctx: Context) => {
  const token = ctx.cookies.get(COOKIE);
  const who = await whoAsks(db, ctx);
  if (token)
    await inSchool(db, who, ({ tx }) =>
      tx('sessions')
        .where({ tokenHash: tokenHash(token) })
        .delete(),
    );
  ctx.cookies.set(COOKIE, null, { httpOnly: true, sameSite: 'lax', secure: ctx.secure, overwrite: true });
  ctx.status = 204;
};
