import type { Knex } from 'knex';
import type { Context } from 'koa';
import { inSchool, NO_SCHOOL, type SchoolTx } from '../db/in-school';
import { hashOfToken, type LinkHolder } from '../facts/private-link';
import { Problem } from '../problem/problem';

/**
 * A private link to a pilot's own page: no account, an end, and it can be taken back. The token is told once
 * and kept only as a hash. It comes in a header, so that it stands in no log and no address that is passed on.
 */

/** Works in the school of whoever holds the link that came with a request. */
export async function asPilot<T>(
  db: Knex,
  ctx: Context,
  work: (school: SchoolTx, holder: LinkHolder) => Promise<T>,
): Promise<T> {
  const token = /^Bearer ([\w-]{20,64})$/.exec(ctx.get('Authorization'))?.[1];
  const found = token
    ? await inSchool(db, { schoolId: NO_SCHOOL, accountId: null }, async ({ tx }) => {
        const { rows } = (await tx.raw('select * from pilot_by_token(?)', [hashOfToken(token)])) as {
          rows: (LinkHolder & { schoolId: string })[];
        };
        return rows[0];
      })
    : undefined;
  if (!found)
    throw new Problem(404, 'Not found', 'This link leads nowhere any more: ask your trainer for a new one.');
  return inSchool(db, { schoolId: found.schoolId, accountId: null }, (school) => work(school, found));
}
