import Router from '@koa/router';
import type { AnyCommand } from '@skelby/core/commands/command';
import { COMMANDS } from '@skelby/core/commands/commands';
import { recordOwnRep, sayOfWeakness, tellNearMiss } from '@skelby/core/commands/of-a-pilot';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import type { Logger } from 'pino';
import { carryOutBatch } from './commands/batch';
import { carryOut, given, isOfTrainer } from './commands/carry-out';
import { forgetPilot } from './commands/forget-pilot';
import { makeLink } from './commands/make-link';
import {
  type PilotCommand,
  type PilotHandler,
  recordOwnRepOf,
  sayOfWeaknessOf,
  tellNearMissOf,
} from './commands/of-a-pilot';
import { exchangeRoutes } from './exchange/routes';
import { clearedPdf, coursePdf, recordCertificate, trainingRecordPdf } from './exchange/signed-records';
import { trainingRecord, trainingStatements } from './exchange/training-record';
import { recordEvent } from './facts/events';
import { experienceOf } from './facts/experience';
import { ruleInForce } from './facts/occurrence-rows';
import { unitsOf } from './facts/units';
import { bodyOf } from './http/body';
import { type InTheirSchool, inTheirSchool, keyIn } from './http/in-their-school';
import { type LiveStreams, tellsOfChanges } from './http/live';
import { openApiDocument } from './http/open-api-document';
import { asPilot } from './http/pilot-link';
import { makeSignIn, signOut, type Who } from './http/session';
import { agreementPage, judgeCase } from './pages/agreement';
import { coursePage } from './pages/course';
import { debriefOf, debriefVersion } from './pages/debrief';
import { drillVersions } from './pages/drills';
import { insightsPage } from './pages/insights';
import { occurrencePage } from './pages/occurrence';
import { historyPage } from './pages/history';
import { pilotEverything } from './pages/pilot-everything';
import { occurrencesBefore, pilotPage } from './pages/pilot-page';
import { pilotPortal } from './pages/pilot-portal';
import { carriedSince } from './pages/prefetch';
import { calibrationPage } from './pages/calibration';
import { retentionPage } from './pages/retention';
import { rankEvidence } from './pages/ranking';
import { flightsBefore, recentFlights, roster } from './pages/roster';
import { searchPage } from './pages/search';
import { recentSessions, sessionOf } from './pages/sessions';
import { signsPage } from './pages/signs';
import { today, toDebriefPage } from './pages/today';
import { earlierReps, weaknessPage } from './pages/weakness';
import { peopleRoutes } from './people/routes';
import { isSandbox } from './people/sandbox';
import type { Me } from '@skelby/core/pages/people';
import { notFound } from './problem/problem';
import type { SchoolTx } from './db/in-school';
import type { Changes } from './db/changes';
import type { Jobs } from './db/jobs';
import type { Lanes } from './db/lanes';

/** Who is signed in. */
async function ownAccount(school: SchoolTx, ctx: Context) {
  const { accountId, name, schoolName, role } = ctx.state['who'] as Who;
  const [units, sandbox] = [await unitsOf(school), await isSandbox(school)];
  return { accountId, name, schoolName, role, units, sandbox } satisfies Me;
}

/** What can be read, by address. */
export const PAGES: Readonly<Record<string, (school: SchoolTx, ctx: Context) => unknown>> = {
  '/today': today,
  '/to-debrief': toDebriefPage,
  '/roster': roster,
  '/flights': recentFlights,
  '/flights/older': flightsBefore,
  '/experience': experienceOf,
  '/experience/calibration': calibrationPage,
  '/school/rule': ruleInForce,
  '/school/retention': retentionPage,
  '/sessions': recentSessions,
  '/course': coursePage,
  '/insights': insightsPage,
  '/search': searchPage,
  '/signs': signsPage,
  '/drills': drillVersions,
  '/pilots/:id': (school, ctx) => pilotPage(school, keyIn(ctx, 'id', 'pilot')),
  '/pilots/:id/occurrences': (school, ctx) => occurrencesBefore(school, keyIn(ctx, 'id', 'pilot'), ctx),
  '/sessions/:id': (school, ctx) => sessionOf(school, keyIn(ctx, 'id', 'session')),
  '/weaknesses/:id': (school, ctx) =>
    weaknessPage(school, keyIn(ctx, 'id', 'weakness'), ctx.query['reps'] === 'lately'),
  '/weaknesses/:id/reps': (school, ctx) => earlierReps(school, keyIn(ctx, 'id', 'weakness'), ctx),
  '/occurrences/:id': (school, ctx) => occurrencePage(school, keyIn(ctx, 'id', 'occurrence')),
  '/occurrences/:id/debrief': (school, ctx) => debriefOf(school, keyIn(ctx, 'id', 'occurrence')),
  '/occurrences/:id/debrief/:versionId': (school, ctx) =>
    debriefVersion(school, keyIn(ctx, 'id', 'occurrence'), keyIn(ctx, 'versionId', 'version')),
};

/** The keys in a command's address; an address with a key that is none names nothing. */
function keysOf(command: AnyCommand, ctx: Context): Record<string, string> {
  const keys = command.address.read(ctx.path.replace(/^\/api/, '').replace(/\/$/, '')) as Record<
    string,
    string
  > | null;
  if (!keys) throw notFound('entry');
  return keys;
}

/** What the holder of a pilot's private link may read and do. */
function pilotRoutes(router: Router, db: Knex): void {
  const does = <C extends PilotCommand>(command: C, handler: PilotHandler<C>) =>
    router.put(command.address.pattern, async (ctx) => {
      ctx.body = await asPilot(db, ctx, async (school, holder) =>
        handler(school, holder, await given(command, keysOf(command, ctx) as never, bodyOf(ctx))),
      );
    });
  router.get('/own', async (ctx) => {
    ctx.body = await asPilot(db, ctx, (school, holder) => pilotPortal(school, holder));
  });
  does(recordOwnRep, recordOwnRepOf);
  does(tellNearMiss, tellNearMissOf);
  does(sayOfWeakness, sayOfWeaknessOf);
}

/** A pilot's private links, everything there is of one, and forgetting one. */
function recordRoutes(router: Router, inSchool: InTheirSchool, later: InTheirSchool): void {
  router.post(
    '/pilots/:id/links',
    inSchool('keep-records', (school, ctx) => makeLink(school, keyIn(ctx, 'id', 'pilot'), bodyOf(ctx))),
  );
  router.get(
    '/pilots/:id/everything.json',
    later('take-out', async (school, ctx) => {
      const pilotId = keyIn(ctx, 'id', 'pilot');
      const everything = await pilotEverything(school, pilotId);
      await recordEvent(school, { action: 'exported', subject: 'file', subjectId: pilotId, pilotId });
      ctx.attachment('pilot.json');
      return everything;
    }),
  );
  router.get('/pilots/:id/training-record.json', later('take-out', trainingRecord));
  router.get('/pilots/:id/training-record.pdf', later('take-out', trainingRecordPdf));
  router.get('/pilots/:id/course.pdf', later('take-out', coursePdf));
  router.get('/weaknesses/:id/cleared.pdf', later('take-out', clearedPdf));
  router.get('/school/certificate.pem', later('take-out', recordCertificate));
  router.get('/pilots/:id/xapi.json', later('take-out', trainingStatements));
  router.post(
    '/pilots/:id/forget',
    inSchool('forget', (school, ctx) => forgetPilot(school, keyIn(ctx, 'id', 'pilot'), bodyOf(ctx))),
  );
}

interface ApiParts {
  readonly lanes: Lanes;
  readonly jobs: Jobs;
  readonly changes: Changes;
  readonly live: LiveStreams;
  readonly log: Logger;
  /** What all flight files of a school may take. */
  readonly flightBytes: number;
}

/**
 * Everything under /api. Routes are matched in one case only: what stands before a handler must not be passed
 * by writing its address otherwise.
 */
export function apiRouter({ lanes, jobs, changes, live, log, flightBytes }: ApiParts): Router {
  const { asked: db, ahead } = lanes;
  const router = new Router({ prefix: '/api', sensitive: true });
  const inSchool = inTheirSchool(db);
  const later = inTheirSchool(db, ahead);
  router.use(tellsOfChanges(changes));
  router.get('/openapi.json', openApiDocument);
  router.get('/live', live.stream);
  router.post('/sign-in', makeSignIn(db));
  router.post('/sign-out', signOut(db));
  pilotRoutes(router, db);
  exchangeRoutes(router, lanes, jobs, flightBytes);
  router.get(
    '/carry',
    later('read', (school, ctx) => {
      const { since, reps } = ctx.query;
      return carriedSince(school, typeof since === 'string' ? since : undefined, reps === 'lately');
    }),
  );
  router.get('/history', inSchool('history', historyPage));
  router.get('/agreement', inSchool('train', agreementPage));
  router.put('/agreement/:caseId', inSchool('train', judgeCase));
  peopleRoutes(router, lanes, inSchool);
  router.get('/me', inSchool('own', ownAccount));
  for (const [address, page] of Object.entries(PAGES))
    router.get(
      address,
      inSchool('read', async (school, ctx) => page(school, ctx)),
    );
  for (const command of COMMANDS as readonly AnyCommand[])
    if (isOfTrainer(command))
      router.put(
        command.address.pattern,
        inSchool('read', (school, ctx) => carryOut(school, command, keysOf(command, ctx), bodyOf(ctx))),
      );
  recordRoutes(router, inSchool, later);
  router.post(
    '/v1/rank',
    inSchool('read', (school, ctx) => rankEvidence(school, bodyOf(ctx))),
  );
  router.post(
    '/sync',
    inSchool('read', (school, ctx) =>
      carryOutBatch(school, bodyOf(ctx), (command, error) =>
        log.error({ err: error, requestId: ctx.state['requestId'], command: command.path }, 'command failed'),
      ),
    ),
  );
  return router;
}
