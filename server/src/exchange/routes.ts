import { Readable } from 'node:stream';
import { setTimeout } from 'node:timers/promises';
import type { ImportPage, ImportReport } from '@skelby/core/pages/imports';
import type Router from '@koa/router';
import type { Context } from 'koa';
import { occurrencesAsCsv, occurrencesAsJson } from '../exchange/export-occurrences';
import { bringIn, FORMATS, importPage, importPages, startImport, stopImport } from '../exchange/imports';
import { withReceived } from '../exchange/received-file';
import { assertMay } from '../problem/may';
import { badField, Problem } from '../problem/problem';
import { whoAsks, type Who } from '../http/session';
import { inSchool, type SchoolTx } from '../db/in-school';
import type { Jobs } from '../db/jobs';
import type { Lanes } from '../db/lanes';
import { inTheirSchool, keyIn } from '../http/in-their-school';
import { recordEvent } from '../facts/events';
import { historyAsCsv } from '../pages/history';

function asked<T extends string>(ctx: Context, name: string, values: readonly T[]): T {
  const value = ctx.query[name];
  if (typeof value !== 'string' || !(values as readonly string[]).includes(value))
    throw badField(name, `${name} must be one of ${values.join(', ')}: put it into the address.`);
  return value as T;
}

const send = (ctx: Context, type: string, name: string, parts: AsyncGenerator<string>) => {
  ctx.type = type;
  ctx.attachment(name);
  ctx.body = Readable.from(parts);
};

/**
 * Occurrences out as a file, and in from one. A file is looked over first; nothing is saved until that is asked
 * for. It is here whole before anything of the database is taken for it.
 */
export function exchangeRoutes(router: Router, lanes: Omit<Lanes, 'close'>, jobs: Jobs): void {
  const { asked: db, ahead } = lanes;
  /** A file that leaves the school is in its history. */
  const leaves = (file: string, type: string, parts: (who: Who, ctx: Context) => AsyncGenerator<string>) =>
    router.get(`/${file}`, async (ctx) => {
      const who = await whoAsks(db, ctx);
      assertMay(who, file === 'history.csv' ? 'history' : 'take-out');
      await inSchool(db, who, (school) =>
        recordEvent(school, { action: 'exported', subject: 'file', subjectId: who.accountId, reason: file }),
      );
      send(ctx, type, file, parts(who, ctx));
    });
  leaves('occurrences.csv', 'text/csv', (who) => occurrencesAsCsv(ahead, who));
  leaves('occurrences.json', 'application/json', (who) => occurrencesAsJson(ahead, who));
  leaves('history.csv', 'text/csv', (who, ctx) => historyAsCsv(ahead, who, ctx));
  importRoutes(router, lanes, jobs);
}

const NAME = /[^\p{L}\p{N} ._()-]/gu;
const MOST_NAME = 120;

/** The name of a file, for whoever looks at the list. */
function nameIn(ctx: Context, otherwise: string): string {
  const { name } = ctx.query;
  return (typeof name === 'string' ? name.replace(NAME, ' ').trim().slice(0, MOST_NAME) : '') || otherwise;
}

/** Files on their way in: kept first, worked on by whichever server has the time, looked at while it goes on. */
function importRoutes(
  router: Router,
  { asked: db, files }: Pick<Lanes, 'asked' | 'files'>,
  jobs: Jobs,
): void {
  const inTheir = inTheirSchool(db);
  /** Takes a file in. @returns the file as it is now, and whoever gave it */
  const take = async (ctx: Context) => {
    const who = await whoAsks(db, ctx);
    assertMay(who, 'bring-in');
    const format = asked(ctx, 'format', FORMATS);
    const name = nameIn(ctx, `occurrences.${format}`);
    const page = await withReceived(ctx.req, (file) =>
      inSchool(files, who, (school) => startImport(school, jobs, { name, format }, file())),
    );
    return { who, page };
  };
  router.post('/imports', async (ctx) => {
    ctx.body = (await take(ctx)).page;
    ctx.status = 202;
  });
  router.get('/imports', inTheir('bring-in', importPages));
  const ofOne = (ctx: Context) => keyIn(ctx, 'id', 'file on its way in');
  router.get(
    '/imports/:id',
    inTheir('bring-in', (school, ctx) => importPage(school, ofOne(ctx))),
  );
  router.post(
    '/imports/:id/bring-in',
    inTheir('bring-in', (school, ctx) => bringIn(school, jobs, ofOne(ctx))),
  );
  router.post(
    '/imports/:id/stop',
    inTheir('bring-in', (school, ctx) => stopImport(school, ofOne(ctx))),
  );
  // As pages of an earlier version ask for it: one request that answers with the report.
  router.post('/imports/occurrences', async (ctx) => {
    const saves = asked(ctx, 'save', ['nothing', 'good']) === 'good';
    const { who, page } = await take(ctx);
    const inTheirs = (work: (school: SchoolTx) => Promise<ImportPage>) => inSchool(db, who, work);
    const look = () => inTheirs((school) => importPage(school, page.id));
    const seen = await reportOf(look);
    if (saves) await inTheirs((school) => bringIn(school, jobs, page.id));
    ctx.body = saves ? await reportOf(look) : seen;
  });
}

const WAITS_MS = 25_000;
const ASKS_EVERY_MS = 150;

/** Waits until it is over. @throws Problem 422 where the file cannot be read, 503 where it takes longer */
async function reportOf(look: () => Promise<ImportPage>): Promise<ImportReport> {
  for (const until = Date.now() + WAITS_MS; Date.now() < until;) {
    const { state, report, problem } = await look();
    if (state === 'failed') throw new Problem(422, 'Not accepted', problem ?? '');
    if (state !== 'waiting' && state !== 'working') return report;
    await setTimeout(ASKS_EVERY_MS);
  }
  throw new Problem(
    503,
    'Still working',
    'The file is here and is being worked on: reload the page to see it.',
  );
}
