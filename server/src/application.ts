import bodyParser from '@koa/bodyparser';
import Router from '@koa/router';
import Koa, { type Context } from 'koa';
import compress from 'koa-compress';
import helmet from 'koa-helmet';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import type { Changes } from './db/changes';
import type { Jobs } from './db/jobs';
import type { Lanes } from './db/lanes';
import type { LiveStreams } from './http/live';
import { problems } from './http/problems';
import { type InFlight, requests } from './http/requests';
import { sameOriginWrites } from './http/same-origin';
import { isApi, staticApp } from './http/static-app';
import { Problem } from './problem/problem';
import { apiRouter } from './routes';

export interface ApplicationOptions {
  readonly lanes: Lanes;
  readonly jobs: Jobs;
  readonly changes: Changes;
  readonly live: LiveStreams;
  readonly log: Logger;
  /** Folder of the built app. */
  readonly appFolder: string;
  /** Told once the server has begun to stop, so that a load balancer sends nothing new. */
  readonly isStopping: () => boolean;
  readonly inFlight: InFlight;
  /** Proxies in front whose word on address and scheme is taken; 0: none is. */
  readonly proxies?: number;
  /** What all flight files of a school may take, in bytes; absent: `FLIGHT_FILES_MB`. */
  readonly flightBytes?: number;
}

/** Megabytes that the flight files of a school may take, where nothing else is set. */
export const FLIGHT_FILES_MB = 2_048;

const NEVER = ["'none'"];
const SELF = ["'self'"];

/** React Native for web writes its styles at run time, so inline styles are let through; scripts are not. */
const CONTENT_POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: NEVER,
    scriptSrc: SELF,
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:'],
    // A video is looked at from the phone that it is on, and never sent.
    mediaSrc: ['blob:'],
    fontSrc: SELF,
    connectSrc: SELF,
    manifestSrc: SELF,
    workerSrc: SELF,
    baseUri: NEVER,
    formAction: SELF,
    frameAncestors: NEVER,
    objectSrc: NEVER,
  },
};

/** What no page of it asks of a device, whatever script got in: it flies by tilt and controllers, and keeps awake. */
const NO_USE_FOR = ['camera', 'microphone', 'geolocation', 'payment', 'usb', 'serial', 'midi'];
const PERMISSIONS_POLICY = NO_USE_FOR.map((what) => `${what}=()`).join(', ');

/** Half a year: a browser that came over TLS once comes over nothing else. */
const TLS_ONLY_S = 15_552_000;

/** Written out once: what asks for its length and what packs it would each write it out again. */
function asText(ctx: Context): void {
  const body = ctx.body as unknown;
  const isPlain = Array.isArray(body) || Object.getPrototypeOf(body ?? 0) === Object.prototype;
  if (!isPlain || ctx.type !== 'application/json') return;
  ctx.body = JSON.stringify(body);
  ctx.type = 'application/json';
}

function healthRouter(db: Knex, isStopping: () => boolean): Router {
  const router = new Router({ sensitive: true });
  router.get('/healthz', (ctx) => {
    ctx.body = { alive: true };
  });
  router.get('/readyz', async (ctx) => {
    if (isStopping()) throw new Problem(503, 'Stopping', 'The server is stopping.');
    try {
      await db.raw('select 1');
    } catch {
      throw new Problem(503, 'Not ready', 'The database does not answer.');
    }
    ctx.body = { ready: true };
  });
  return router;
}

/** The whole server: one list of middleware, and one router with a file per resource behind it. */
export function application({
  lanes,
  jobs,
  changes,
  live,
  log,
  appFolder,
  isStopping,
  inFlight,
  proxies = 0,
  flightBytes = FLIGHT_FILES_MB * 1024 * 1024,
}: ApplicationOptions): Koa {
  const koa = new Koa();
  koa.silent = true;
  koa.proxy = proxies > 0;
  koa.maxIpsCount = proxies;
  koa.on('error', (error: NodeJS.ErrnoException) => {
    // A reader that hung up is no error of ours.
    if (error.code !== 'ECONNRESET' && error.code !== 'EPIPE' && error.code !== 'ERR_STREAM_PREMATURE_CLOSE')
      log.error({ err: error }, 'stream failed');
  });
  const api = apiRouter({ lanes, jobs, changes, live, log, flightBytes });
  const health = healthRouter(lanes.asked, isStopping);
  koa.use(requests(log, inFlight));
  koa.use(
    helmet({
      contentSecurityPolicy: CONTENT_POLICY,
      referrerPolicy: { policy: 'same-origin' },
      strictTransportSecurity: false,
    }),
  );
  koa.use(async (ctx, next) => {
    ctx.set('Permissions-Policy', PERMISSIONS_POLICY);
    if (ctx.secure) ctx.set('Strict-Transport-Security', `max-age=${TLS_ONLY_S}`);
    await next();
  });
  koa.use(problems(log));
  koa.use(sameOriginWrites);
  // The fastest level: on a small answer the others take as long as the work itself, for a few bytes less.
  koa.use(compress({ threshold: 1024, br: false, gzip: { level: 1 } }));
  koa.use(bodyParser({ enableTypes: ['json'], jsonLimit: '64kb' }));
  koa.use(async (ctx, next) => {
    if (isApi(ctx.path)) ctx.set('Cache-Control', 'no-store');
    await next();
    asText(ctx);
  });
  koa.use(health.routes());
  koa.use(api.routes());
  koa.use(staticApp(appFolder));
  koa.use(() => {
    throw new Problem(404, 'Not found', 'There is nothing at this address.');
  });
  return koa;
}
