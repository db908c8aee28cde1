import type { Context } from 'koa';

/** The JSON that came with a request, as yet unchecked. */
export const bodyOf = (ctx: Context): unknown => (ctx.request as { body?: unknown }).body;
