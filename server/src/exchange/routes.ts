import path from 'node:path';
import { Readable } from 'node:stream';
import { setTimeout } from 'node:timers/promises';
import type { ImportPage, ImportReport } from '@skelby/core/pages/imports';
import type Router from '@koa/router';
import type { Context } from 'koa';
import { occurrencesAsCsv, occurrencesAsJson } from '../exchange/export-occurrences';
import { LEAVING_TABLES, type LeavingTableName, tableAsCsv } from '../exchange/export-tables';
import { reportsAsCsv } from '../exchange/export-reports';
import { placesAsGeoJson } from '../exchange/export-places';
import { bringIn, FORMATS, importPage, importPages, startImport, stopImport } from '../exchange/imports';
import { withReceived } from '../exchange/received-file';
import { UUID } from '@skelby/core/vocabulary/key';
import {
  assertWhole,
  dropFlightFile,
  flightFile,
  flightFilesPage,
  keepFlightFile,
  packedParts,
} from '../flight-files/flight-files';
import { assertMay } from '../problem/may';
import { badField, Problem } from '../problem/problem';
import { assertTheirs } from '../problem/theirs';
import { whoAsks, type Who } from '../http/session';
import { inSchool, type SchoolTx } from '../db/in-school';
import type { Jobs } from '../db/jobs';
import type { Lanes } from '../db/lanes';
import { inTheirSchool, keyIn } from '../http/in-their-school';
import { whoMay } from '../http/who-may';
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
 * Occurrences out as a file, and in from one, and files of recorders. A file is looked over first; nothing is saved until that is asked
 * for. It is here whole before anything of the database is taken for it.
 */
export function exchangeRoutes(
  router: Router,
  lanes: Omit<Lanes, 'close'>,
  jobs: Jobs,
  flightBytes: number,
): void {
  const { asked: db, ahead } = lanes;
  /** A file that leaves the school is in its history. */
  const leaves = (file: string, type: string, parts: (who: Who, ctx: Context) => AsyncGenerator<string>) =>
    router.get(`/${file}`, async (ctx) => {
      const who = await whoMay(db, ctx, file === 'history.csv' ? 'history' : 'take-out');
      await inSchool(db, who, (school) =>
        recordEvent(school, { action: 'exported', subject: 'file', subjectId: who.accountId, reason: file }),
      );
      send(ctx, type, path.basename(file), parts(who, ctx));
    });
  leaves('occurrences.csv', 'text/csv', (who) => occurrencesAsCsv(ahead, who));
  leaves('occurrences.json', 'application/json', (who) => occurrencesAsJson(ahead, who));
  leaves('occurrences.geojson', 'application/geo+json', (who) => placesAsGeoJson(ahead, who));
  leaves('occurrence-reports.csv', 'text/csv', (who) => reportsAsCsv(ahead, who));
  for (const name of Object.keys(LEAVING_TABLES) as LeavingTableName[])
    leaves(`tables/${name}.csv`, 'text/csv', (who) => tableAsCsv(ahead, who, name));
  leaves('history.csv', 'text/csv', (who, ctx) => historyAsCsv(ahead, who, ctx));
  importRoutes(router, lanes, jobs);
  flightFileRoutes(router, lanes, flightBytes);
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

/** A key that may stand in the address; what is none is refused. */
function keyAsked(ctx: Context, name: string): string | null {
  const value = ctx.query[name];
  if (value === undefined || value === '') return null;
  if (typeof value !== 'string' || !UUID.test(value))
    throw badField(name, `${name} must be a UUID in lower case: put it into the address, or leave it out.`);
  return value;
}

/** Files of recorders: in packed, and out as they came. */
function flightFileRoutes(
  router: Router,
  { asked: db, ahead, files }: Omit<Lanes, 'close'>,
  flightBytes: number,
): void {
  const inTheir = inTheirSchool(db);
  const ofOne = (ctx: Context) => keyIn(ctx, 'id', 'flight file');
  router.get(
    '/flight-files',
    inTheir('read', (school) => flightFilesPage(school, flightBytes)),
  );
  router.put('/flight-files/:id', async (ctx) => {
    const who = await whoAsks(db, ctx);
    assertTheirs(who, ctx.get('X-Account'));
    assertMay(who, 'train');
    const id = ofOne(ctx);
    const given = {
      id,
      name: nameIn(ctx, 'flight'),
      pilotId: keyAsked(ctx, 'pilot'),
      flightId: keyAsked(ctx, 'flight'),
    };
    ctx.body = await withReceived(ctx.req, async (file) => {
      const bytes = await assertWhole(file(), id);
      return inSchool(files, who, (school) =>
        keepFlightFile(school, given, { bytes, file: file(), mostBytes: flightBytes }),
      );
    });
  });
  router.get('/flight-files/:id', async (ctx) => {
    const who = await whoAsks(db, ctx);
    assertMay(who, 'take-out');
    const { name } = await inSchool(db, who, async (school) => {
      const file = await flightFile(school, ofOne(ctx));
      const { id: subjectId, pilotId } = file;
      await recordEvent(school, {
        action: 'exported',
        subject: 'file',
        subjectId,
        pilotId,
        reason: file.name,
      });
      return file;
    });
    ctx.attachment(name);
    ctx.type = 'application/octet-stream';
    // As it is kept: whoever reads it unpacks it.
    ctx.set('Content-Encoding', 'gzip');
    ctx.body = Readable.from(packedParts(ahead, who, ofOne(ctx)));
  });
  router.delete(
    '/flight-files/:id',
    inTheir('keep-records', (school, ctx) => dropFlightFile(school, ofOne(ctx))),
  );
}
