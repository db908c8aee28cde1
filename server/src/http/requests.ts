import { randomUUID } from 'node:crypto';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';

/** Gives each request a number and writes one line about it. */
export const requests = (log: Logger): Middleware => async (ctx, next) => {
  const started = performance.now();
  const requestId = randomUUID();
  ctx.state['requestId'] = requestId;
  ctx.set('X-Request-Id', requestId);
  await next();
  log.info({ requestId, method: ctx.method, path: ctx.path, status: ctx.status, ms: Math.round(performance.now() - started) }, 'request');
};
