import { isDeepStrictEqual } from 'node:util';
import { v7 as uuid } from 'uuid';
import type { Knex } from 'knex';
import type { SchoolTx } from '../db/in-school';
import { preparedAs } from '../db/prepared';

export interface Change {
  /** Named by whoever asks, so that the same asked again is seen; absent: a new one. */
  readonly id?: string;
  readonly action: string;
  readonly subject:
    | 'pilot'
    | 'craft'
    | 'site'
    | 'flight'
    | 'occurrence'
    | 'weakness'
    | 'plan'
    | 'rep'
    | 'experience'
    | 'school'
    | 'session'
    | 'test-set'
    | 'link'
    | 'token'
    | 'account'
    | 'file'
    | 'drill'
    | 'course';
  readonly subjectId: string;
  readonly pilotId?: string | null;
  readonly reason?: string | null;
  readonly data?: unknown;
}

const rowOf = ({ schoolId, accountId, program }: SchoolTx, change: Change) => ({
  schoolId,
  id: change.id ?? uuid(),
  accountId,
  action: change.action,
  subject: change.subject,
  subjectId: change.subjectId,
  pilotId: change.pilotId ?? null,
  reason: change.reason || null,
  data: JSON.stringify({ ...(change.data as object | undefined), ...(program ? { program } : {}) }),
});

/** Adds to the history: who, when, what, why. */
export async function recordEvent(school: SchoolTx, change: Change): Promise<void> {
  await school.tx('events').insert(rowOf(school, change));
}

/**
 * Writes something down and adds it to the history in one statement, which does both or neither.
 * @param write returns a row where it wrote one
 * @returns whether it did
 */
export async function recordWhere(
  school: SchoolTx,
  write: Knex.QueryBuilder,
  change: Change,
): Promise<boolean> {
  const row = rowOf(school, change);
  const names = Object.keys(row);
  const statement = school.tx.raw(
    `with written as (?) insert into events (${names.map(() => '??').join(', ')})
     select ${names.map((name) => `?::${TYPES[name] ?? 'text'}`).join(', ')} from written returning id`,
    [write, ...names, ...Object.values(row)],
  );
  const { rows } = (await statement.options(preparedAs(statement.toSQL().sql))) as { rows: unknown[] };
  return rows.length > 0;
}
const TYPES: Readonly<Record<string, string>> = {
  schoolId: 'uuid',
  id: 'uuid',
  accountId: 'uuid',
  subjectId: 'uuid',
  pilotId: 'uuid',
  data: 'jsonb',
};

/** What differs between a stored row and new fields, old value first; undefined when nothing does. */
export function differences(
  row: Readonly<Record<string, unknown>>,
  fields: Readonly<Record<string, unknown>>,
) {
  const changed = Object.entries(fields).filter(
    // The database keeps the names in an object in an order of its own.
    ([name, value]) =>
      JSON.stringify(row[name]) !== JSON.stringify(value) && !isDeepStrictEqual(row[name], value),
  );
  return changed.length === 0
    ? undefined
    : Object.fromEntries(changed.map(([name, value]) => [name, [row[name], value]]));
}
