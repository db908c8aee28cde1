import { MAY_BY_TOKEN, type Right } from '@skelby/core/people/roles';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { inSchool } from '../db/in-school';
import { hashOfToken } from '../facts/private-link';
import { Problem } from '../problem/problem';
import { notForTokens, TOKEN_PREFIX } from './bearer';
import { consumed, limiterIn } from './limiter';
import type { Who } from './session';

/** A school's own programs: they ask with a token instead of a session, and reach no account and no setting. */

const BEARER = new RegExp(`^Bearer (${TOKEN_PREFIX}[\\w-]{40,80})$`);

/** Requests of one token within a minute; whole files are asked for in one. */
export const ASKED_A_MINUTE = 600;
const SECONDS = 60;

const limits = new WeakMap<Knex, ReturnType<typeof limiterIn>>();
function limiterOf(db: Knex) {
  const made = limits.get(db) ?? limiterIn(db, 'token', ASKED_A_MINUTE, SECONDS);
  limits.set(db, made);
  return made;
}

/** @throws Problem 429 with how long to wait */
async function count(db: Knex, ctx: Context, tokenId: string): Promise<void> {
  const waitMs = await consumed(limiterOf(db), tokenId);
  if (waitMs === null) return;
  const seconds = Math.ceil(waitMs / 1000);
  ctx.set('Retry-After', String(seconds));
  throw new Problem(
    429,
    'Too much at once',
    `A token may ask ${ASKED_A_MINUTE} times a minute: wait ${seconds} s, or ask for a whole file.`,
  );
}

interface Found extends Omit<Who, 'pilotId' | 'sessionId'> {
  readonly tokenId: string;
  readonly seenLately: boolean;
}

/**
 * Whose token it is: it acts for whoever made it, with the role it was made for.
 * @throws Problem 401 for a token that is none any more, 403 where no token gets in, 429
 */
export async function whoHasToken(db: Knex, ctx: Context, right: Right): Promise<Who> {
  const token = BEARER.exec(ctx.get('Authorization'))?.[1];
  const { rows } = token
    ? ((await db.raw('select * from account_by_api_token(?)', [hashOfToken(token)])) as { rows: Found[] })
    : { rows: [] };
  const [found] = rows;
  if (!found)
    throw new Problem(401, 'No such token', 'The token is none, or was ended: make a new one under People.');
  await count(db, ctx, found.tokenId);
  if (!MAY_BY_TOKEN.includes(right)) throw notForTokens();
  const { tokenId, seenLately, ...rest } = found;
  const who: Who = { ...rest, pilotId: null, sessionId: tokenId };
  if (!seenLately)
    await inSchool(db, who, ({ tx }) =>
      tx('api_tokens').where({ id: tokenId }).update({ lastUsedAt: tx.fn.now() }),
    );
  return who;
}
