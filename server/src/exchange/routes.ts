import { Readable } from 'node:stream';
import type Router from '@koa/router';
import type { Context } from 'koa';
import { occurrencesAsCsv, occurrencesAsJson } from '../exchange/export-occurrences';
import { importOccurrences } from '../exchange/import-occurrences';
import { readCsv, readJson } from '../exchange/read-file';
import { withReceived } from '../exchange/received-file';
import { assertMay } from '../problem/may';
import { badField } from '../problem/problem';
import { whoAsks, type Who } from '../http/session';
import { inSchool } from '../db/in-school';
import type { Lanes } from '../db/lanes';
import { recordEvent } from '../facts/events';
import { historyAsCsv } from '../pages/history';

const READERS = { csv: readCsv, json: readJson } as const;

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
 * Occurrences out as a file, and in from one. A file is checked first; nothing is saved until that is asked
 * for. It is here whole before anything of the database is taken for it.
 */
export function exchangeRoutes(router: Router, { asked: db, ahead, files }: Omit<Lanes, 'close'>): void {
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
  router.post('/imports/occurrences', async (ctx) => {
    const who = await whoAsks(db, ctx);
    assertMay(who, 'bring-in');
    const read = READERS[asked(ctx, 'format', ['csv', 'json'])];
    const save = asked(ctx, 'save', ['nothing', 'good']) === 'good';
    await withReceived(ctx.req, async (file) => {
      ctx.body = await inSchool(files, who, (school) => importOccurrences(school, read(file()), save));
    });
  });
}
