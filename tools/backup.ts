import { randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  openSync,
  readSync,
  closeSync,
  renameSync,
  rmSync,
} from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { checkDatabase, type Checked, countRows } from '../server/src/facts/check-database';
import { connect } from '../server/src/db/connection';
import { makeJobTables } from '../server/src/db/job-tables';
import { ensureRole } from '../server/src/db/migrate';
import { copyIn, copyOut, CopyProblem } from '../server/src/db/school-copy';
import { withDatabase } from './database';
import { besideOf, dataInUse } from './data-in-use';
import { needPostgres } from './needs';
import { run } from './run';
import { CannotGoOn, say } from './say';

export interface BackupOptions {
  readonly file?: string | undefined;
  readonly data?: string | undefined;
  /** One school alone. */
  readonly school?: string | undefined;
}

/** How PostgreSQL's own archives and gzip begin. */
const ARCHIVE = 'PGDMP';
/** The job queue stays behind: what waits in it belongs to a running server. */
const WITHOUT_JOBS = ['--exclude-schema', 'pgboss'];
const GZIP = '1f8b';
const DIFFERENCES_SHOWN = 20;

const lastLines = (text: string) => text.trim().split('\n').slice(-4).join('\n');
const fileOf = ({ file }: BackupOptions, command: string): string => {
  if (!file) throw new CannotGoOn(`FILE is missing: write ./skelby ${command} FILE.`);
  return path.resolve(file);
};

/** Runs a program of PostgreSQL on a database. The password goes by the environment: arguments can be read by anybody. */
async function postgres(
  program: string,
  url: string,
  args: readonly string[],
  failed: string,
): Promise<void> {
  const bin = await needPostgres();
  const address = new URL(url);
  const env = { PGPASSWORD: decodeURIComponent(address.password) };
  address.password = '';
  const { code, output } = await run(path.join(bin, program), [...args, '-d', address.href], { env });
  if (code !== 0) throw new CannotGoOn(`${failed}\n${lastLines(output)}`);
}

/** Looks at a database and lets it go again. */
async function lookAt<T>(url: string, look: (db: Knex) => Promise<T>): Promise<T> {
  const db = connect(url);
  try {
    return await look(db);
  } finally {
    await db.destroy();
  }
}

const asProblem = (error: unknown): never => {
  if (error instanceof CopyProblem) throw new CannotGoOn(error.message);
  throw error;
};

/** Says what a check found. @returns the exit code */
function sayChecked({ weaknesses, differences }: Checked): number {
  for (const { school, weaknessId, field, kept, workedOut } of differences.slice(0, DIFFERENCES_SHOWN))
    say(
      `! ${school}, weakness ${weaknessId}: ${field} is kept as ${JSON.stringify(kept)}, its facts say ${JSON.stringify(workedOut)}`,
    );
  if (differences.length > DIFFERENCES_SHOWN) say(`! … and ${differences.length - DIFFERENCES_SHOWN} more.`);
  say(
    `${weaknesses} weaknesses worked out anew: ${differences.length === 0 ? 'all as kept' : `${differences.length} differences`}.`,
  );
  return differences.length === 0 ? 0 : 1;
}

type Counts = Readonly<Record<string, number>>;

/**
 * Restores an archive into a database that is thrown away afterwards, and looks whether everything is in it.
 * @param around rows of each table before and after it was taken: between the two it must be, for the school works on
 */
async function drill(file: string, url: string, around: readonly [Counts, Counts]): Promise<void> {
  const name = `skelby_drill_${randomBytes(6).toString('hex')}`;
  const admin = connect(besideOf(url, 'postgres'));
  try {
    await admin.raw('create database ??', [name]);
    const trial = besideOf(url, name);
    await postgres(
      'pg_restore',
      trial,
      ['--no-owner', '--exit-on-error', file],
      'The copy could not be restored on trial, and was not kept.',
    );
    const [counts, checked] = await lookAt(trial, async (db) => [
      await countRows(db),
      await checkDatabase(db),
    ]);
    const wrong = Object.keys(around[0]).filter((table) => {
      const [before, after] = around.map((each) => each[table] ?? 0) as [number, number];
      const rows = counts[table] ?? -1;
      return rows < Math.min(before, after) || rows > Math.max(before, after);
    });
    if (wrong.length > 0)
      throw new CannotGoOn(
        `On trial these tables came back otherwise, and the copy was not kept: ${wrong.join(', ')}.`,
      );
    const rows = Object.values(counts).reduce((sum, each) => sum + each, 0);
    const differing =
      checked.differences.length === 0
        ? 'all as kept'
        : `${checked.differences.length} differences (./skelby check shows them)`;
    say(`Restored on trial: ${rows} rows, ${checked.weaknesses} weaknesses worked out anew, ${differing}.`);
  } finally {
    await admin.raw('drop database if exists ??', [name]);
    await admin.destroy();
  }
}

/** Copies everything, and tries at once whether it can be restored. */
export async function backUp(file: string, url: string): Promise<void> {
  // Half a copy never stands under the name of a whole one.
  const part = `${file}.part`;
  try {
    const before = await lookAt(url, countRows);
    await postgres(
      'pg_dump',
      url,
      ['-Fc', '--no-owner', ...WITHOUT_JOBS, '-f', part],
      `${file} could not be written.`,
    );
    await drill(part, url, [before, await lookAt(url, countRows)]);
    renameSync(part, file);
  } finally {
    rmSync(part, { force: true });
  }
  say(`Everything is in ${file}.`);
}

async function backUpSchool(file: string, school: string, url: string): Promise<void> {
  const part = `${file}.part`;
  const lines = async function* () {
    const db = connect(url);
    try {
      for await (const line of copyOut(db, school)) yield `${line}\n`;
    } finally {
      await db.destroy();
    }
  };
  try {
    await pipeline(Readable.from(lines()), createGzip(), createWriteStream(part)).catch(asProblem);
    renameSync(part, file);
  } finally {
    rmSync(part, { force: true });
  }
  say(`${school} is in ${file}.`);
}

/** The name of a school in a database; undefined where there is none. */
const schoolIn = (url: string): Promise<string | undefined> =>
  lookAt(url, async (db) => {
    if (!(await db.schema.hasTable('schools'))) return undefined;
    return ((await db('schools').first('name')) as { name: string } | undefined)?.name;
  });

/** A copy of nothing looks like a copy: there has to be a school. */
async function assertSchool(url: string): Promise<void> {
  if ((await schoolIn(url)) === undefined)
    throw new CannotGoOn(
      'There is no school in this data. Name the folder it is in with --data DIR (the demo has its own), or its database with DATABASE_URL.',
    );
}

/** `./skelby backup FILE`: everything, or one school. */
export async function runBackup(options: BackupOptions): Promise<number> {
  const file = fileOf(options, 'backup');
  const inUse = await dataInUse(options.data);
  try {
    await assertSchool(inUse.url);
    if (options.school) await backUpSchool(file, options.school, inUse.url);
    else await backUp(file, inUse.url);
    return 0;
  } finally {
    await inUse.release();
  }
}

function beginning(file: string): Buffer {
  if (!existsSync(file)) throw new CannotGoOn(`There is no file ${file}: check the name.`);
  const bytes = Buffer.alloc(ARCHIVE.length);
  const open = openSync(file, 'r');
  readSync(open, bytes);
  closeSync(open);
  return bytes;
}

/** Only into a database without a school: nothing is ever written over, and nothing of anybody else's is touched. */
async function restoreAll(file: string, url: string): Promise<void> {
  const school = await schoolIn(url);
  if (school !== undefined)
    throw new CannotGoOn(
      `This database holds the school "${school}" already: nothing is written over. Restore into another folder with --data DIR.`,
    );
  await lookAt(url, ensureRole);
  await postgres(
    'pg_restore',
    url,
    ['--no-owner', '--clean', '--if-exists', '--exit-on-error', '--single-transaction', file],
    `${file} could not be restored; nothing of it was kept.`,
  );
  await lookAt(url, (db) => db.transaction(withoutJobs));
}

/** What was on its way in when the copy was made has no job any more: whoever gave it gives it again. */
async function withoutJobs(tx: Knex): Promise<void> {
  if (!(await tx.schema.hasTable('imports'))) return;
  await makeJobTables(tx);
  await tx('imports').whereIn('state', ['waiting', 'working']).update({ state: 'stopped' });
}

/** The lines of a gzipped file, read as they are asked for. */
async function* linesOf(file: string): AsyncGenerator<string> {
  const unzipped = createReadStream(file).pipe(createGunzip());
  try {
    let rest = '';
    for await (const part of unzipped.setEncoding('utf8')) {
      const lines = (rest + String(part)).split('\n');
      rest = lines.pop()!;
      yield* lines;
    }
    if (rest !== '') yield rest;
  } catch (error) {
    if (error instanceof Error && 'code' in error && String(error.code).startsWith('Z_'))
      throw new CopyProblem('The file is damaged or cut short: take another copy.');
    throw error;
  }
}

async function restoreSchool(file: string, url: string): Promise<void> {
  const { name, rows } = await withDatabase(url, (db) => copyIn(db, linesOf(file)).catch(asProblem));
  say(`${name} is restored: ${rows} rows.`);
}

/** `./skelby restore FILE`: what a backup wrote, everything or one school, and works every weakness out anew. */
export async function runRestore(options: BackupOptions): Promise<number> {
  const file = fileOf(options, 'restore');
  const first = beginning(file);
  const isArchive = first.toString('latin1') === ARCHIVE;
  if (!isArchive && first.subarray(0, 2).toString('hex') !== GZIP)
    throw new CannotGoOn(`${file} is no backup of Skelby: give a file that ./skelby backup wrote.`);
  const inUse = await dataInUse(options.data);
  try {
    if (isArchive) await restoreAll(file, inUse.url);
    else await restoreSchool(file, inUse.url);
    return await withDatabase(inUse.url, async (db) => sayChecked(await checkDatabase(db)));
  } finally {
    await inUse.release();
  }
}

/** `./skelby check`: works every weakness out anew and says what differs; it changes nothing. */
export async function runCheck(options: BackupOptions): Promise<number> {
  const inUse = await dataInUse(options.data);
  try {
    await assertSchool(inUse.url);
    return await withDatabase(inUse.url, async (db) => sayChecked(await checkDatabase(db)));
  } finally {
    await inUse.release();
  }
}
