import type { SchoolTx } from '../db/in-school';
import { claimFiles } from '../flight-files/flight-files';
import { notFound } from '../problem/problem';

/** Never told: keys of the house, and of private links. */
const KEPT_BACK = ['school_id', 'token_hash'] as const;

/** Columns of a table of which not all are for anybody to read: what opens an account stays in it. */
const TOLD_OF: Readonly<Record<string, string>> = {
  accounts: 'id, name, email, role, pilot_id, ended_at',
};

/** A row leads to a pilot by one of these columns; of the last two, by what they belong to. */
const LEADS = {
  pilot_id: '= ?',
  weakness_id: 'in (select id from weaknesses where pilot_id = ?)',
  occurrence_id: 'in (select id from occurrences where pilot_id = ?)',
} as const;
type Lead = keyof typeof LEADS;

/** Every table of a school with a column that leads to a pilot: a table that comes later is in it too. */
async function tablesThatLead({ tx }: SchoolTx): Promise<ReadonlyMap<string, readonly Lead[]>> {
  const { rows } = (await tx.raw(
    `select table_name as name, array_agg(column_name::text) as columns from information_schema.columns
      where table_schema = 'public' and column_name = any(?) group by table_name order by table_name`,
    [Object.keys(LEADS)],
  )) as { rows: { name: string; columns: Lead[] }[] };
  return new Map(rows.map(({ name, columns }) => [name, columns]));
}

interface SessionContent {
  readonly packs?: readonly { readonly pilotId: string }[];
  readonly own?: readonly { readonly pilotId: string }[];
}

/** Of the sessions what belongs to this pilot; of the others nothing. */
async function sessionsOf({ tx }: SchoolTx, pilotId: string): Promise<readonly unknown[]> {
  const sessions = (await tx('training_sessions').orderBy('id').select('id', 'content')) as {
    id: string;
    content: SessionContent;
  }[];
  return sessions.flatMap(({ id, content }) => {
    const packs = (content.packs ?? []).filter((pack) => pack.pilotId === pilotId);
    const own = (content.own ?? []).filter((said) => said.pilotId === pilotId);
    return packs.length + own.length > 0 ? [{ id, ...content, packs, own }] : [];
  });
}

/** Everything that is kept of one pilot, as open JSON, table by table. */
export async function pilotEverything(school: SchoolTx, pilotId: string): Promise<Record<string, unknown>> {
  const { tx } = school;
  await claimFiles(school);
  const drop = KEPT_BACK.map((name) => `- '${name}'`).join(' ');
  const rowsOf = async (table: string, where: string) => {
    const { rows } = (await tx.raw(
      `select to_jsonb(t) ${drop} as row from (select ${TOLD_OF[table] ?? '*'} from ??) t where ${where} order by t.id`,
      [table, ...Array.from({ length: where.split('?').length - 1 }, () => pilotId)],
    )) as { rows: { row: unknown }[] };
    return rows.map(({ row }) => row);
  };
  const [pilot] = await rowsOf('pilots', 't.id = ?');
  if (!pilot) throw notFound('pilot');
  const tables: Record<string, unknown> = {};
  for (const [table, leads] of await tablesThatLead(school))
    tables[table] = await rowsOf(table, leads.map((lead) => `t.${lead} ${LEADS[lead]}`).join(' or '));
  return {
    format: 'skelby-pilot',
    madeAt: new Date().toISOString(),
    pilot,
    ...tables,
    sessions: await sessionsOf(school, pilotId),
  };
}
