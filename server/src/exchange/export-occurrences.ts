import { JSON_FORMAT, JSON_VERSION } from '@skelby/core/exchange/json-schema';
import {
  COLUMNS,
  type DebriefRecord,
  type OccurrenceRecord,
  toCells,
} from '@skelby/core/exchange/occurrence-record';
import { stringify } from 'csv-stringify/sync';
import type { Knex } from 'knex';
import { inSchool } from '../db/in-school';

interface Who {
  readonly schoolId: string;
  readonly accountId: string | null;
}
type Row = Omit<OccurrenceRecord, 'debrief'> & {
  readonly state: 'open' | 'closed' | null;
  readonly findings: Omit<DebriefRecord, 'state'> | null;
};

const PAGE = 500;
const FIRST = '00000000-0000-0000-0000-000000000000';

/** All occurrences of a school, in the order of their keys (about that of logging), a page at a time. */
async function* records(db: Knex, who: Who): AsyncGenerator<readonly OccurrenceRecord[]> {
  let after = FIRST;
  for (;;) {
    const { rows } = await inSchool(
      db,
      who,
      ({ tx }) =>
        tx.raw(
          `
      select o.id, o.pilot_id, p.name as pilot, o.kind, o.day, o.happened_at, o.cause_id, o.note, c.name as craft, s.name as site, o.wind_mps, o.confirmed_cause_id, o.withdrawn_reason, d.state, d.findings
        from occurrences o
        join pilots p on p.school_id = o.school_id and p.id = o.pilot_id
        left join craft c on c.school_id = o.school_id and c.id = o.craft_id
        left join sites s on s.school_id = o.school_id and s.id = o.site_id
        left join lateral (select state, findings from debriefs where school_id = o.school_id and occurrence_id = o.id order by number desc limit 1) d on true
       where o.id > ? order by o.id limit ${PAGE}`,
          [after],
        ) as unknown as Promise<{ rows: Row[] }>,
    );
    if (rows.length === 0) return;
    yield rows.map(({ state, findings, ...row }) => ({
      ...row,
      debrief: state === null || findings === null ? null : { state, ...findings },
    }));
    after = rows.at(-1)!.id;
  }
}

/** RFC 4180: commas, CRLF, a header, quotes where needed. */
export async function* occurrencesAsCsv(db: Knex, who: Who): AsyncGenerator<string> {
  const options = { record_delimiter: 'windows' } as const;
  yield stringify([COLUMNS], options);
  for await (const page of records(db, who))
    yield stringify(
      page.map((record) => {
        const cells = toCells(record);
        return COLUMNS.map((column) => cells[column]);
      }),
      options,
    );
}

/** As docs/occurrences.schema.json has it. */
export async function* occurrencesAsJson(db: Knex, who: Who): AsyncGenerator<string> {
  yield `{"format":${JSON.stringify(JSON_FORMAT)},"version":${JSON_VERSION},"occurrences":[`;
  let first = true;
  for await (const page of records(db, who)) {
    yield `${first ? '\n' : ',\n'}${page.map((record) => JSON.stringify(record)).join(',\n')}`;
    first = false;
  }
  yield '\n]}\n';
}
