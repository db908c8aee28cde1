import type { Middleware } from 'koa';
import { Problem } from '../problem/problem';
import { asksByToken } from './bearer';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Writes are taken from the app's own pages only. Browsers always name the origin of a write, so
 * one that names another, or none, is refused. A program names none, and has a token that no browser adds by itself.
 */
export const sameOriginWrites: Middleware = async (ctx, next) => {
  if (!READS.has(ctx.method) && !asksByToken(ctx)) {
    const origin = ctx.get('Origin');
    const from = URL.canParse(origin) ? new URL(origin) : null;
    // Behind a proxy that is trusted the scheme is known too.
    const own = from?.host === ctx.host && (!ctx.app.proxy || from.protocol === `${ctx.protocol}:`);
    if (!own)
      throw new Problem(
        403,
        'Refused',
        'Changes are taken only from the app itself: open it at its own address.',
      );
  }
  await next();
};
