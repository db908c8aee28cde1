import { UUID } from '@skelby/core/vocabulary/key';
import type { Knex } from 'knex';
import type { Context, Middleware } from 'koa';
import { inSchool, type SchoolTx } from '../db/in-school';
import type { Right } from '@skelby/core/people/roles';
import { notFound } from '../problem/problem';
import { whoMay } from './who-may';

type Handler = (school: SchoolTx, ctx: Context) => Promise<unknown>;
export type InTheirSchool = (right: Right, handler: Handler) => Middleware;

/**
 * Runs a handler in one transaction for the school of whoever is signed in; what it returns is the answer.
 * @param db asked who it is
 * @param work where the transaction runs
 * @throws Problem 401, 403 when the role of whoever asks has not the right, 429
 */
export const inTheirSchool =
  (db: Knex, work: Knex = db): InTheirSchool =>
  (right, handler) =>
  async (ctx) => {
    const who = await whoMay(db, ctx, right);
    const answer = await inSchool(work, who, (school) => handler(school, ctx));
    if (answer === undefined) ctx.status = 204;
    else ctx.body = answer;
  };

/** A key from the address; what is not a key names nothing. */
export function keyIn(ctx: Context, name: string, what: string): string {
  const id = (ctx['params'] as Record<string, string | undefined>)[name];
  if (!id || !UUID.test(id)) throw notFound(what);
  return id;
}
