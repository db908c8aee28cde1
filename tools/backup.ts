import { randomBytes } from 'node:crypto';
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
import { ensureRole } from '../server/src/db/migrate';
import { copyIn, copyOut, CopyProblem } from '../server/src/db/school-copy';
import { withDatabase } from './database';
import { dataInUse, type InUse } from './data-in-use';
import { needPostgres } from './needs';
import { run } from './run';
import { CannotGoOn, say } from './say';

export interface BackupOptions {
  readonly file?: string | undefined;
  readonly data?: string | undefined;
  /** One school alone. */
  readonly school?: string | undefined;
}

type Database = Pick<InUse, 'url' | 'beside'>;

/** How PostgreSQL's own archives and gzip begin. */
const ARCHIVE = 'PGDMP';
const GZIP = '1f8b';
const DIFFERENCES_SHOWN = 20;

const lastLines = (text: string) => text.trim().split('\n').slice(-4).join('\n');
const fileOf = ({ file }: BackupOptions, command: string): string => {
  if (!file) throw new CannotGoOn(`FILE is missing: write ./skelby ${command} FILE.`);
  return path.resolve(file);
};

async function postgres(program: string, args: readonly string[], failed: string): Promise<void> {
  const bin = await needPostgres();
  const { code, output } = await run(path.join(bin, program), args);
  if (code !== 0) throw new CannotGoOn(`${failed}\n${lastLines(output)}`);
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

/** Restores an archive into a database that is thrown away afterwards, and looks whether everything is in it. */
async function drill(file: string, { url, beside }: Database): Promise<void> {
  const name = `skelby_drill_${randomBytes(6).toString('hex')}`;
  const admin = connect(beside('postgres'));
  try {
    await admin.raw('create database ??', [name]);
    await postgres(
      'pg_restore',
      ['--no-owner', '--exit-on-error', '-d', beside(name), file],
      'The copy was written, and could not be restored on trial: do not rely on it.',
    );
    const [there, restored] = [connect(url), connect(beside(name))];
    try {
      const [before, after] = [await countRows(there), await countRows(restored)];
      const { weaknesses, differences } = await checkDatabase(restored);
      const rows = Object.values(after).reduce((sum, each) => sum + each, 0);
      // Rows that came in since the copy was taken are in the one and not in the other: fewer is what must not be.
      const lost = Object.keys(before).filter((table) => after[table] === undefined);
      if (lost.length > 0)
        throw new CannotGoOn(`On trial these tables were not restored: ${lost.join(', ')}.`);
      say(
        `Restored on trial: ${rows} rows, ${weaknesses} weaknesses worked out anew, ${differences.length === 0 ? 'all as kept' : `${differences.length} differences (./skelby check shows them)`}.`,
      );
    } finally {
      await there.destroy();
      await restored.destroy();
    }
  } finally {
    await admin.raw('drop database if exists ??', [name]);
    await admin.destroy();
  }
}

/** Copies everything, and tries at once whether it can be restored. */
export async function backUp(file: string, inUse: Database): Promise<void> {
  // Half a copy never stands under the name of a whole one.
  const part = `${file}.part`;
  try {
    await postgres('pg_dump', ['-Fc', '--no-owner', '-f', part, inUse.url], `${file} could not be written.`);
    await drill(part, inUse);
    renameSync(part, file);
  } finally {
    rmSync(part, { force: true });
  }
  say(`Everything is in ${file}.`);
}

async function backUpSchool(file: string, school: string, { url }: InUse): Promise<void> {
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

/** A copy of nothing looks like a copy: there has to be a school. */
async function assertSchool({ url }: InUse): Promise<void> {
  const db = connect(url);
  try {
    const has = (await db.schema.hasTable('schools')) && (await db('schools').first('id'));
    if (!has)
      throw new CannotGoOn(
        'There is no school in this data. Name the folder it is in with --data DIR (the demo has its own), or its database with DATABASE_URL.',
      );
  } finally {
    await db.destroy();
  }
}

/** `./skelby backup FILE`: everything, or one school. */
export async function runBackup(options: BackupOptions): Promise<number> {
  const file = fileOf(options, 'backup');
  const inUse = await dataInUse(options.data);
  try {
    await assertSchool(inUse);
    if (options.school) await backUpSchool(file, options.school, inUse);
    else await backUp(file, inUse);
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

/** Only into a database without a school: nothing is ever written over. */
async function restoreAll(file: string, { url, beside }: Database): Promise<void> {
  const name = decodeURIComponent(new URL(url).pathname.slice(1));
  const admin = connect(beside('postgres'));
  try {
    const there = connect(url);
    const has = await there.schema.hasTable('schools').finally(() => there.destroy());
    if (has) {
      const full = connect(url);
      const school = (await full('schools')
        .first('name')
        .finally(() => full.destroy())) as { name: string } | undefined;
      if (school)
        throw new CannotGoOn(
          `This database holds the school "${school.name}" already: nothing is written over. Restore into another folder with --data DIR.`,
        );
      await admin.raw('drop database ??', [name]);
      await admin.raw('create database ??', [name]);
    }
    const empty = connect(url);
    await ensureRole(empty).finally(() => empty.destroy());
  } finally {
    await admin.destroy();
  }
  await postgres(
    'pg_restore',
    ['--no-owner', '--exit-on-error', '--single-transaction', '-d', url, file],
    `${file} could not be restored; nothing of it was kept.`,
  );
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

async function restoreSchool(file: string, { url }: InUse): Promise<void> {
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
    if (isArchive) await restoreAll(file, inUse);
    else await restoreSchool(file, inUse);
    return await withDatabase(inUse.url, async (db) => sayChecked(await checkDatabase(db)));
  } finally {
    await inUse.release();
  }
}

/** `./skelby check`: works every weakness out anew and says what differs; it changes nothing. */
export async function runCheck(options: BackupOptions): Promise<number> {
  const inUse = await dataInUse(options.data);
  try {
    await assertSchool(inUse);
    return await withDatabase(inUse.url, async (db) => sayChecked(await checkDatabase(db)));
  } finally {
    await inUse.release();
  }
}
