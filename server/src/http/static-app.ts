import { existsSync } from 'node:fs';
import path from 'node:path';
import type { Middleware } from 'koa';
import send from 'koa-send';
import { Problem } from '../problem/problem';

const YEAR_MS = 31_536_000_000;

function decoded(address: string): string {
  try {
    return decodeURIComponent(address);
  } catch {
    throw new Problem(400, 'Bad request', 'The address is not well formed: check it for a stray % sign.');
  }
}

/** Whether an address belongs to the API, in whatever case it is written: the app has no page there. */
export const isApi = (address: string): boolean => /^\/api(\/|$)/i.test(address);

/** Serves the built app; every page address answers with the app itself, which then finds its route. */
export const staticApp =
  (folder: string): Middleware =>
  async (ctx, next) => {
    if ((ctx.method !== 'GET' && ctx.method !== 'HEAD') || isApi(ctx.path)) return next();
    const wanted = path.normalize(decoded(ctx.path));
    const isFile = path.extname(wanted) !== '' && existsSync(path.join(folder, wanted));
    if (path.extname(wanted) !== '' && !isFile) return next();
    const file = isFile ? wanted : '/index.html';
    // File names in _expo/static and assets carry a hash of their content.
    const fixed = /^\/(_expo\/static|assets)\//.test(file);
    await send(ctx, file, {
      root: folder,
      maxage: fixed ? YEAR_MS : 0,
      immutable: fixed,
      brotli: true,
      gzip: true,
    });
  };
