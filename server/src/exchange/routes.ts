import { Readable } from 'node:stream';
import type Router from '@koa/router';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { occurrencesAsCsv, occurrencesAsJson } from '../exchange/export-occurrences';
import { importOccurrences } from '../exchange/import-occurrences';
import { readCsv, readJson } from '../exchange/read-file';
import type { InTheirSchool } from '../http/in-their-school';
import { badField } from '../problem/problem';
import { whoAsks, type Who } from '../http/session';
import { inSchool as inSchoolOf } from '../db/in-school';
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
 * for.
 */
export function exchangeRoutes(router: Router, db: Knex, inSchool: InTheirSchool): void {
  /** A file that leaves the school is in its history. */
  const leaves = (file: string, type: string, parts: (who: Who, ctx: Context) => AsyncGenerator<string>) =>
    router.get(`/${file}`, async (ctx) => {
      const who = await whoAsks(db, ctx);
      await inSchoolOf(db, who, (school) =>
        recordEvent(school, { action: 'exported', subject: 'file', subjectId: who.accountId, reason: file }),
      );
      send(ctx, type, file, parts(who, ctx));
    });
  leaves('occurrences.csv', 'text/csv', (who) => occurrencesAsCsv(db, who));
  leaves('occurrences.json', 'application/json', (who) => occurrencesAsJson(db, who));
  leaves('history.csv', 'text/csv', (who, ctx) => historyAsCsv(db, who, ctx));
  router.post(
    '/imports/occurrences',
    inSchool((school, ctx) =>
      importOccurrences(
        school,
        READERS[asked(ctx, 'format', ['csv', 'json'])](ctx.req),
        asked(ctx, 'save', ['nothing', 'good']) === 'good',
      ),
    ),
  );
}
