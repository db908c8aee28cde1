import type { Right } from '@skelby/core/people/roles';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { assertMay } from '../problem/may';
import { whoHasToken } from './api-token';
import { asksByToken } from './bearer';
import { whoAsks, type Who } from './session';

/**
 * Who asks, and may: somebody who is signed in, or a program with a token of the school.
 * @throws Problem 401 when it is nobody, 403 when their role has not the right, 429 for a program that asks too often
 */
export async function whoMay(db: Knex, ctx: Context, right: Right): Promise<Who> {
  const who = asksByToken(ctx) ? await whoHasToken(db, ctx, right) : await whoAsks(db, ctx);
  ctx.state['who'] = who;
  assertMay(who, right);
  return who;
}
