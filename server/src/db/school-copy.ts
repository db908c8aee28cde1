import type { Knex } from 'knex';

/**
 * One school in a file: a line of JSON for what the file is, one for each row as PostgreSQL itself writes it, and one at
 * the end that says how many there were. Sign-ins stay behind, and files that are on their way in: whoever restores signs
 * in anew, and gives them again.
 */

const FORMAT = 'skelby-school';
const LEFT_BEHIND = new Set([
  'sessions',
  'imports',
  'import_parts',
  'weakness_checkpoints',
  'search_words',
  'calendar_links',
  'api_tokens',
  'school_keys',
]);
const AT_ONCE = 500;
/** Up to 2 MB each, as text. */
const PIECES = 'flight_file_parts';
const PIECES_AT_ONCE = 4;

/** What is wrong with a file, or with where it should go. */
export class CopyProblem extends Error {}

interface Head {
  readonly format: string;
  readonly made: string;
  /** The last migration of the database that it was taken from. */
  readonly migration: string;
  readonly school: { readonly id: string; readonly name: string };
}
interface Row {
  readonly table: string;
  readonly row: Readonly<Record<string, unknown>>;
}
interface End {
  readonly rows: number;
}

const lastMigration = async (db: Knex): Promise<string> =>
  ((await db('skelby_migrations').max('name as name').first()) as { name: string }).name;

/** Tables of a school, each after those that it refers to. */
export async function tablesInOrder(db: Knex): Promise<readonly string[]> {
  const { rows: tables } = (await db.raw(`
    select c.relname as name from pg_class c
      join pg_attribute a on a.attrelid = c.oid and a.attname = 'school_id' and not a.attisdropped
     where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace order by c.relname`)) as {
    rows: { name: string }[];
  };
  const { rows: references } = (await db.raw(`
    select conrelid::regclass::text as child, confrelid::regclass::text as parent
      from pg_constraint where contype = 'f' and conrelid <> confrelid`)) as {
    rows: { child: string; parent: string }[];
  };
  const left = new Set(tables.map(({ name }) => name).filter((name) => !LEFT_BEHIND.has(name)));
  const ordered: string[] = [];
  while (left.size > 0) {
    const next = [...left].find((name) =>
      references.every(({ child, parent }) => child !== name || !left.has(parent)),
    );
    if (!next) throw new CopyProblem(`Tables refer to each other in a circle: ${[...left].join(', ')}.`);
    ordered.push(next);
    left.delete(next);
  }
  return ordered;
}

/** Its rows as PostgreSQL writes them; pieces of files, which are large, one at a time. */
async function* linesOf(tx: Knex, table: string, where: string, schoolId: string): AsyncGenerator<string> {
  if (table !== PIECES) {
    const { rows } = (await tx.raw(
      `select row_to_json(t)::text as line from ?? t where ${where} = ? order by line`,
      [table, schoolId],
    )) as { rows: { line: string }[] };
    yield* rows.map(({ line }) => line);
    return;
  }
  const ids = (await tx(table).where({ schoolId }).orderBy(['file_id', 'number']).pluck('id')) as string[];
  for (const id of ids) {
    const { rows } = (await tx.raw(
      'select row_to_json(t)::text as line from ?? t where school_id = ? and id = ?',
      [table, schoolId, id],
    )) as { rows: { line: string }[] };
    yield rows[0]!.line;
  }
}

/** Reads one school in a single look at the database, line by line. @throws CopyProblem where there is no such school */
export async function* copyOut(db: Knex, name: string): AsyncGenerator<string> {
  const tx = await db.transaction(undefined, { isolationLevel: 'repeatable read', readOnly: true });
  try {
    const school = (await tx('schools').where({ name, sandboxOf: null }).first('id', 'name')) as
      Head['school'] | undefined;
    if (!school) {
      const there = (await tx('schools')
        .where({ sandboxOf: null })
        .orderBy('name')
        .pluck('name')) as string[];
      throw new CopyProblem(`There is no school "${name}" here: ${there.join(', ') || 'there is none'}.`);
    }
    const made = new Date().toISOString();
    const head: Head = { format: FORMAT, made, migration: await lastMigration(db), school };
    yield JSON.stringify(head);
    let rows = 0;
    const told = async function* (table: string, where: string) {
      for await (const line of linesOf(tx, table, where, school.id)) {
        rows += 1;
        yield `{"table":${JSON.stringify(table)},"row":${line}}`;
      }
    };
    yield* told('schools', 't.id');
    for (const table of await tablesInOrder(tx)) yield* told(table, 't.school_id');
    yield JSON.stringify({ rows } satisfies End);
  } finally {
    await tx.commit();
  }
}

function headOf(line: string | undefined): Head {
  try {
    const head = JSON.parse(line ?? '') as Head;
    if (head.format === FORMAT) return head;
  } catch {
    // Said below: whatever it is, it is no copy of a school.
  }
  throw new CopyProblem('The file is no copy of a school: its first line does not say so.');
}

/**
 * Brings a school in that is not there yet, whole or not at all.
 * @throws CopyProblem where the file is cut short, of another version, or its school is there already
 */
export async function copyIn(
  db: Knex,
  lines: AsyncIterable<string>,
): Promise<{ name: string; rows: number }> {
  const reading = lines[Symbol.asyncIterator]();
  const head = headOf((await reading.next()).value as string | undefined);
  const migration = await lastMigration(db);
  if (head.migration !== migration)
    throw new CopyProblem(
      `The file is of another version of Skelby (${head.migration}, this one is ${migration}): restore it with that version, and update then.`,
    );
  return db.transaction(async (tx) => {
    if (await tx('schools').where({ id: head.school.id }).first('id'))
      throw new CopyProblem(
        `The school "${head.school.name}" is here already: restore it into another database, with --data DIR.`,
      );
    const known = new Set(['schools', ...(await tablesInOrder(tx))]);
    let rows = 0;
    let end: End | null = null;
    let batch: Row[] = [];
    const flush = async () => {
      const table = batch[0]?.table;
      if (table)
        await tx.raw('insert into ?? select * from json_populate_recordset(null::??, ?::json)', [
          table,
          table,
          JSON.stringify(batch.map(({ row }) => row)),
        ]);
      rows += batch.length;
      batch = [];
    };
    for (let next = await reading.next(); !next.done; next = await reading.next()) {
      const line = lineOf(next.value, rows + batch.length + 2);
      if (!('table' in line)) {
        end = line;
        break;
      }
      assertOwn(line, head.school.id, known);
      if (batch.length > 0 && (batch[0]!.table !== line.table || batch.length >= mostOf(line.table)))
        await flush();
      batch.push(line);
    }
    await flush();
    if (end?.rows !== rows)
      throw new CopyProblem(
        `The file is cut short: it holds ${rows} rows${end ? ` of ${end.rows}` : ', and no end'}. Take another copy.`,
      );
    return { name: head.school.name, rows };
  });
}

const mostOf = (table: string): number => (table === PIECES ? PIECES_AT_ONCE : AT_ONCE);

/** A file brings in its own school and nothing else, whoever wrote it. */
function assertOwn({ table, row }: Row, schoolId: string, known: ReadonlySet<string>): void {
  if (!known.has(table))
    throw new CopyProblem(`The file has rows of "${table}", which is no table of a school.`);
  if (row[table === 'schools' ? 'id' : 'school_id'] !== schoolId)
    throw new CopyProblem(
      `The file has a row of "${table}" that belongs to another school: it is not taken.`,
    );
}

function lineOf(text: string, line: number): Row | End {
  try {
    return JSON.parse(text) as Row | End;
  } catch {
    throw new CopyProblem(`Line ${line} of the file cannot be read: the file is damaged or cut short.`);
  }
}
