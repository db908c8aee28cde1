import {
  HISTORY_KINDS,
  type HistoryEntry,
  type HistoryKind,
  type HistoryPage,
} from '@skelby/core/pages/history';
import { guarded } from '@skelby/core/exchange/formula-guard';
import { UUID } from '@skelby/core/vocabulary/key';
import { stringify } from 'csv-stringify/sync';
import type { Knex } from 'knex';
import type { Context } from 'koa';
import { inSchool, type SchoolTx } from '../db/in-school';
import { badField } from '../problem/problem';

const A_PAGE = 100;
const EXPORTED_AT_ONCE = 1000;

interface Asked {
  /** The last entry that was read: what is older follows. */
  readonly after: string | null;
  readonly pilotId: string | null;
  readonly kind: HistoryKind | null;
}

function askedIn({ query }: Context): Asked {
  const one = (name: string) => (typeof query[name] === 'string' ? query[name] : null);
  const key = (name: string) => {
    const value = one(name);
    if (value !== null && !UUID.test(value))
      throw badField(name, `${name} must be a key: leave it out, or put one into the address.`);
    return value;
  };
  const kind = one('kind');
  if (kind !== null && !(kind in HISTORY_KINDS))
    throw badField('kind', `kind must be one of ${Object.keys(HISTORY_KINDS).join(', ')}: or leave it out.`);
  return { after: key('after'), pilotId: key('pilot'), kind: kind as HistoryKind | null };
}

async function entries({ tx }: SchoolTx, { after, pilotId, kind }: Asked, most: number) {
  const { rows } = (await tx.raw(
    `select e.id, e.at, e.action, e.subject, e.subject_id, e.pilot_id, e.reason, e.data ->> 'flownAt' as flown_at,
            a.name || coalesce(', by ' || (e.data ->> 'program'), '') as by, p.name as pilot_name
       from events e
       left join accounts a on a.school_id = e.school_id and a.id = e.account_id
       left join pilots p on p.school_id = e.school_id and p.id = e.pilot_id
      where (:after::uuid is null or (e.at, e.id) < (select at, id from events where id = :after))
        and (:pilotId::uuid is null or e.pilot_id = :pilotId)
        and (:subjects::text[] is null or e.subject = any(:subjects))
      order by e.at desc, e.id desc limit :most`,
    { after, pilotId, subjects: kind === null ? null : [...HISTORY_KINDS[kind]], most },
  )) as { rows: HistoryEntry[] };
  return rows;
}

/** Who did what and when, newest first, a page at a time. */
export async function historyPage(school: SchoolTx, ctx: Context): Promise<HistoryPage> {
  const rows = await entries(school, askedIn(ctx), A_PAGE + 1);
  return { entries: rows.slice(0, A_PAGE), hasMore: rows.length > A_PAGE };
}

/** Columns of the table, each with the name of its value in an entry. */
const COLUMNS = {
  at: 'at',
  by: 'by',
  action: 'action',
  subject: 'subject',
  subject_id: 'subjectId',
  pilot: 'pilotName',
  flown_at: 'flownAt',
  reason: 'reason',
} as const satisfies Readonly<Record<string, keyof HistoryEntry>>;

/** The whole history as a table, newest first (RFC 4180). */
export async function* historyAsCsv(
  db: Knex,
  who: { readonly schoolId: string; readonly accountId: string | null },
  ctx: Context,
): AsyncGenerator<string> {
  let asked = askedIn(ctx);
  const options = { record_delimiter: 'windows' } as const;
  yield stringify([Object.keys(COLUMNS)], options);
  for (;;) {
    const rows = await inSchool(db, who, (school) => entries(school, asked, EXPORTED_AT_ONCE));
    if (rows.length === 0) return;
    yield stringify(
      rows.map((row) => Object.values(COLUMNS).map((name) => guarded(row[name] ?? ''))),
      options,
    );
    asked = { ...asked, after: rows.at(-1)!.id };
  }
}
