import type { ApiToken } from '@skelby/core/pages/people';
import { TOKEN_ROLES } from '@skelby/core/people/roles';
import { choice, line } from '@skelby/core/schemas/fields';
import { randomBytes } from 'node:crypto';
import { v7 as uuid } from 'uuid';
import { object } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { hashOfToken } from '../facts/private-link';
import { TOKEN_PREFIX } from '../http/bearer';
import { assertPlain } from '../problem/plain';
import { conflict, notFound } from '../problem/problem';

/** Tokens of a school's own programs: told once, kept as a hash, ended by any lead. */

/** More than so many open at once are forgotten ones. */
const MOST = 20;

const tokenShape = object({ name: line('name', 60), role: choice('role', TOKEN_ROLES) }).noUnknown();

/** Those that open something, the newest first. */
export const apiTokens = ({ tx }: SchoolTx): Promise<readonly ApiToken[]> =>
  tx('api_tokens as t')
    .join('accounts as a', 'a.id', 't.account_id')
    .whereNull('t.ended_at')
    .orderBy('t.made_at', 'desc')
    .select(
      't.id',
      't.name',
      't.role',
      't.made_at',
      't.last_used_at',
      'a.name as made_by',
    ) as unknown as Promise<readonly ApiToken[]>;

/** @throws Problem 409 where there are too many, 422 naming the field */
export async function makeApiToken(
  school: SchoolTx,
  body: unknown,
): Promise<{ readonly id: string; readonly token: string }> {
  assertPlain(body);
  const { name, role } = await tokenShape.validate(body, { abortEarly: false });
  const { tx, schoolId, accountId } = school;
  if ((await apiTokens(school)).length >= MOST)
    throw conflict(`The school has ${MOST} tokens already: end those that nobody uses.`);
  const [id, token] = [uuid(), TOKEN_PREFIX + randomBytes(32).toString('base64url')];
  await tx('api_tokens').insert({ schoolId, id, accountId, name, role, tokenHash: hashOfToken(token) });
  await recordEvent(school, {
    action: 'added',
    subject: 'token',
    subjectId: id,
    reason: name,
    data: { role },
  });
  return { id, token };
}

/** @throws Problem 404 */
export async function endApiToken(school: SchoolTx, id: string): Promise<{ readonly id: string }> {
  const [ended] = (await school
    .tx('api_tokens')
    .where({ id })
    .whereNull('ended_at')
    .update({ endedAt: school.tx.fn.now() }, ['name'])) as { name: string }[];
  if (!ended) throw notFound('token');
  await recordEvent(school, { action: 'revoked', subject: 'token', subjectId: id, reason: ended.name });
  return { id };
}
