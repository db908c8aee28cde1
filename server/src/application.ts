import bodyParser from '@koa/bodyparser';
import Router from '@koa/router';
import Koa from 'koa';
import compress from 'koa-compress';
import helmet from 'koa-helmet';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { inTheirSchool } from './http/in-their-school';
import { Problem, problems } from './http/problems';
import { type InFlight, requests } from './http/requests';
import { sameOriginWrites } from './http/same-origin';
import { makeSignIn, signOut } from './http/session';
import { isApi, staticApp } from './http/static-app';
import { prefetchRoutes } from './resources/carry';
import { drillRoutes } from './resources/drills';
import { debriefRoutes } from './resources/debriefs';
import { exchangeRoutes } from './resources/exchange';
import { experienceRoutes } from './resources/experience';
import { occurrenceRoutes } from './resources/occurrences';
import { linkRoutes, ownRoutes } from './resources/pilot-links';
import { pilotPageRoutes } from './resources/pilot-page';
import { rankingRoutes } from './resources/ranking';
import { recordRoutes } from './resources/records';
import { repRoutes } from './resources/reps';
import { rosterRoutes } from './resources/roster';
import { schoolRoutes } from './resources/school';
import { sessionRoutes } from './resources/sessions';
import { syncRoutes } from './resources/sync';
import { todayRoutes } from './resources/today';
import { weaknessRoutes } from './resources/weaknesses';

export interface ApplicationOptions {
  readonly db: Knex;
  readonly log: Logger;
  /** Folder of the built app. */
  readonly appFolder: string;
  /** Told once the server has begun to stop, so that a load balancer sends nothing new. */
  readonly isStopping: () => boolean;
  readonly inFlight: InFlight;
}

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

/**
 * Routes are matched in one case only: what stands before a handler must not be passed by writing its address
 * otherwise.
 */
function apiRouter(db: Knex, log: Logger): Router {
  const router = new Router({ prefix: '/api', sensitive: true });
  const inSchool = inTheirSchool(db);
  router.post('/sign-in', makeSignIn(db));
  ownRoutes(router, db);
  router.post('/sign-out', signOut(db));
  schoolRoutes(router, inSchool);
  todayRoutes(router, inSchool);
  rosterRoutes(router, inSchool);
  pilotPageRoutes(router, inSchool);
  linkRoutes(router, inSchool);
  recordRoutes(router, inSchool);
  occurrenceRoutes(router, inSchool);
  weaknessRoutes(router, inSchool);
  repRoutes(router, inSchool);
  debriefRoutes(router, inSchool);
  experienceRoutes(router, inSchool);
  rankingRoutes(router, inSchool);
  sessionRoutes(router, inSchool);
  drillRoutes(router, inSchool);
  prefetchRoutes(router, inSchool);
  syncRoutes(router, inSchool, log);
  exchangeRoutes(router, db, inSchool);
  return router;
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
export function application({ db, log, appFolder, isStopping, inFlight }: ApplicationOptions): Koa {
  const koa = new Koa();
  koa.silent = true;
  koa.on('error', (error: NodeJS.ErrnoException) => {
    // A reader that hung up is no error of ours.
    if (error.code !== 'ECONNRESET' && error.code !== 'EPIPE' && error.code !== 'ERR_STREAM_PREMATURE_CLOSE')
      log.error({ err: error }, 'stream failed');
  });
  const api = apiRouter(db, log);
  const health = healthRouter(db, isStopping);
  koa.use(requests(log, inFlight));
  koa.use(
    helmet({
      contentSecurityPolicy: CONTENT_POLICY,
      referrerPolicy: { policy: 'same-origin' },
      strictTransportSecurity: false,
    }),
  );
  koa.use(problems(log));
  koa.use(sameOriginWrites);
  // The fastest level: on a small answer the others take as long as the work itself, for a few bytes less.
  koa.use(compress({ threshold: 1024, br: false, gzip: { level: 1 } }));
  koa.use(bodyParser({ enableTypes: ['json'], jsonLimit: '64kb' }));
  koa.use(async (ctx, next) => {
    if (isApi(ctx.path)) ctx.set('Cache-Control', 'no-store');
    await next();
  });
  koa.use(health.routes());
  koa.use(api.routes());
  koa.use(staticApp(appFolder));
  koa.use(() => {
    throw new Problem(404, 'Not found', 'There is nothing at this address.');
  });
  return koa;
}
