import type { Context } from 'koa';
import { Problem } from '../problem/problem';

/** Every token of a school's own programs begins so: it is found where it should not be, and taken for nothing else. */
export const TOKEN_PREFIX = 'skelby_';

/** Whether a request comes from a program, and not from a browser: no other site can make one send this header. */
export const asksByToken = (ctx: Context): boolean =>
  ctx.get('Authorization').startsWith(`Bearer ${TOKEN_PREFIX}`);

export const notForTokens = () =>
  new Problem(403, 'Not for tokens', 'No program gets in here: sign in and do it yourself.');
