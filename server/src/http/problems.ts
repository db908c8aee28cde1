import type { Context, Middleware } from 'koa';
import type { Logger } from 'pino';
import { BUSY, NO_ROOM, OUR_MISTAKE, type Problem, problemOf } from '../problem/problem';

const documentOf = (problem: Problem) => ({
  type: 'about:blank',
  title: problem.title,
  status: problem.status,
  detail: problem.detail,
  ...(problem.errors.length > 0 ? { errors: problem.errors } : {}),
  ...problem.more,
});

function writeProblem(ctx: Context, problem: Problem): void {
  ctx.status = problem.status;
  if (problem === BUSY) ctx.set('Retry-After', '1');
  if (problem === NO_ROOM) ctx.set('Retry-After', '60');
  ctx.body = documentOf(problem);
  ctx.type = 'application/problem+json';
}

/** Turns every error below it into a problem document; what is nobody's mistake but ours is logged. */
export const problems =
  (log: Logger): Middleware =>
  async (ctx, next) => {
    try {
      await next();
    } catch (error) {
      const problem = problemOf(error);
      if (!problem)
        log.error({ err: error, requestId: ctx.state['requestId'], path: ctx.path }, 'request failed');
      writeProblem(ctx, problem ?? OUR_MISTAKE);
    }
  };
