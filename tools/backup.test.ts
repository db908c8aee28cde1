import {
  chmodSync,
  copyFileSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { addSchool, addTrainer } from '../server/src/db/add-school';
import { countRows } from '../server/src/facts/check-database';
import { connect } from '../server/src/db/connection';
import { loadDemo } from '../server/src/demo/load';
import { type BackupOptions, runBackup, runCheck, runRestore } from './backup';
import { backUpOnce } from './backups';
import { type Cluster, startCluster } from './cluster';
import { ensureDatabase, remakeDatabase, withDatabase } from './database';

/** What a backup wrote comes back, whole or one school, and a damaged one says so. */

const folder = mkdtempSync(path.join(tmpdir(), 'skelby-backup-'));
chmodSync(folder, 0o755);
const file = (name: string) => path.join(folder, name);
let cluster: Cluster;
let demo: string;
let said: string[] = [];

beforeAll(async () => {
  cluster = await startCluster(path.join(folder, 'data'));
  await ensureDatabase(cluster.url, 'full');
  await withDatabase(cluster.url('full'), async (db) => {
    await loadDemo(db, new Date());
    demo = ((await db('schools').first('name')) as { name: string }).name;
    const other = await addSchool(db, { name: 'Harrow Bay' });
    await addTrainer(db, other, {
      name: 'B. Other',
      email: 'b@harrow.example',
      password: 'a long enough password',
    });
  });
}, 180_000);
afterAll(async () => {
  delete process.env['DATABASE_URL'];
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
});
beforeEach(() => {
  said = [];
  jest.spyOn(process.stdout, 'write').mockImplementation((text) => {
    said.push(String(text));
    return true;
  });
});
afterEach(() => jest.restoreAllMocks());

/** Runs a command on one database of the cluster, as DATABASE_URL names it. */
async function on(
  database: string,
  command: (options: BackupOptions) => Promise<number>,
  options: BackupOptions = {},
): Promise<number> {
  process.env['DATABASE_URL'] = cluster.url(database);
  return command(options);
}
const counts = async (database: string) => {
  const db = connect(cluster.url(database));
  return countRows(db).finally(() => db.destroy());
};

test('everything goes out, is tried at once, and comes back row for row', async () => {
  expect(await on('full', runBackup, { file: file('all.backup') })).toBe(0);
  expect(said.join('')).toMatch(/Restored on trial: \d+ rows, \d+ weaknesses worked out anew, all as kept\./);
  expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  await remakeDatabase(cluster.url, 'again');
  expect(await on('again', runRestore, { file: file('all.backup') })).toBe(0);
  expect(said.join('')).toContain('all as kept');
  expect(await counts('again')).toEqual(await counts('full'));
  // The database that the trial was in is gone.
  const db = connect(cluster.url('postgres'));
  const left = (await db('pg_database')
    .where('datname', 'like', 'skelby_drill%')
    .pluck('datname')) as string[];
  await db.destroy();
  expect(left).toEqual([]);
}, 120_000);

test('a database that was set up and holds no school yet takes a whole copy; what is beside stays', async () => {
  await remakeDatabase(cluster.url, 'set-up');
  await withDatabase(cluster.url('set-up'), (db) =>
    db.schema.createTable('of_somebody_else', (t) => t.text('word')),
  );
  expect(await on('set-up', runRestore, { file: file('all.backup') })).toBe(0);
  const { of_somebody_else: _, ...own } = await counts('set-up');
  expect(own).toEqual(await counts('full'));
  expect(Object.keys(await counts('set-up'))).toContain('of_somebody_else');
  // The queue of jobs is there, and empty: it is made anew and not brought along.
  const { rows } = await withDatabase(cluster.url('set-up'), (db) =>
    db.raw<{ rows: { queues: string; jobs: number }[] }>(
      "select (select string_agg(name, ',') from pgboss.queue) as queues, (select count(*)::int from pgboss.job) as jobs",
    ),
  );
  expect(rows).toEqual([{ queues: 'imports', jobs: 0 }]);
}, 60_000);

test('nothing is written over: a database with a school refuses', async () => {
  await expect(on('full', runRestore, { file: file('all.backup') })).rejects.toThrow(
    /nothing is written over/,
  );
});

test('a damaged file is refused and nothing of it is kept', async () => {
  copyFileSync(file('all.backup'), file('cut.backup'));
  truncateSync(file('cut.backup'), 20_000);
  await remakeDatabase(cluster.url, 'cut');
  await expect(on('cut', runRestore, { file: file('cut.backup') })).rejects.toThrow(/could not be restored/);
  writeFileSync(file('no.backup'), 'hello there');
  await expect(on('cut', runRestore, { file: file('no.backup') })).rejects.toThrow(/is no backup of Skelby/);
  await expect(on('cut', runRestore, { file: file('none') })).rejects.toThrow(/There is no file/);
  await expect(on('cut', runRestore)).rejects.toThrow(/FILE is missing/);
}, 60_000);

test('one school goes out and in again, byte for byte', async () => {
  expect(await on('full', runBackup, { file: file('one.school'), school: demo })).toBe(0);
  await remakeDatabase(cluster.url, 'one');
  expect(await on('one', runRestore, { file: file('one.school') })).toBe(0);
  expect(await on('one', runBackup, { file: file('two.school'), school: demo })).toBe(0);
  const rows = (name: string) =>
    gunzipSync(readFileSync(file(name)))
      .toString()
      .split('\n')
      .slice(1)
      .join('\n');
  expect(rows('two.school')).toBe(rows('one.school'));
  expect(rows('one.school')).not.toContain('Harrow Bay');
  expect(rows('one.school').split('\n').length).toBeGreaterThan(500);
  // Beside another school too.
  await expect(on('one', runRestore, { file: file('one.school') })).rejects.toThrow(/is here already/);
}, 120_000);

test('a copy of one school that is cut short, or of another version, is refused whole', async () => {
  const lines = gunzipSync(readFileSync(file('one.school')))
    .toString()
    .trimEnd()
    .split('\n');
  const as = (name: string, all: readonly string[]) =>
    writeFileSync(file(name), gzipSync(`${all.join('\n')}\n`));
  as('short.school', lines.slice(0, -5));
  as('older.school', [
    lines[0]!.replace(/"migration":"[^"]*"/, '"migration":"003-field"'),
    ...lines.slice(1),
  ]);
  const ofAnother = '01900000-0000-7000-8000-000000000001';
  const intruding = lines.map((line, i) =>
    i > 1 && line.startsWith('{"table":"accounts"')
      ? line.replace(/"school_id":"[^"]*"/, `"school_id":"${ofAnother}"`)
      : line,
  );
  as('intruding.school', intruding);
  as('other.school', ['{"format":"something"}', ...lines.slice(1)]);
  await remakeDatabase(cluster.url, 'refused');
  const into = (name: string) => on('refused', runRestore, { file: file(name) });
  await expect(into('short.school')).rejects.toThrow(/cut short/);
  await expect(into('older.school')).rejects.toThrow(/another version/);
  await expect(into('other.school')).rejects.toThrow(/no copy of a school/);
  await expect(into('intruding.school')).rejects.toThrow(/belongs to another school/);
  expect((await counts('refused'))['schools']).toBe(0);
  await expect(on('full', runBackup, { file: file('x'), school: 'Nowhere' })).rejects.toThrow(
    /There is no school "Nowhere" here: /,
  );
}, 60_000);

test('a check says what the lists keep wrongly, and changes nothing', async () => {
  expect(await on('again', runCheck)).toBe(0);
  await withDatabase(cluster.url('again'), (db) =>
    db('weaknesses').where({ state: 'drilling' }).limit(1).update({ state: 'watch' }),
  );
  said = [];
  expect(await on('again', runCheck)).toBe(1);
  expect(said.join('')).toMatch(/state is kept as "watch", its facts say "drilling"/);
  expect(await on('again', runCheck)).toBe(1);
}, 60_000);

test('a copy of nothing is refused: it would look like a copy', async () => {
  await ensureDatabase(cluster.url, 'nothing');
  await expect(on('nothing', runBackup, { file: file('nothing.backup') })).rejects.toThrow(
    /There is no school in this data/,
  );
  await expect(on('nothing', runCheck)).rejects.toThrow(/There is no school in this data/);
  expect(readdirSync(folder)).not.toContain('nothing.backup');
}, 60_000);

test('a backup a day: the oldest are thrown away, and one that fails is said and stops nothing', async () => {
  const kept = path.join(folder, 'kept');
  const url = cluster.url('full');
  expect(await backUpOnce(kept, url, '2026-03-01')).toBe(true);
  for (let day = 2; day <= 15; day += 1)
    copyFileSync(
      path.join(kept, 'skelby-2026-03-01.backup'),
      path.join(kept, `skelby-2026-03-${String(day).padStart(2, '0')}.backup`),
    );
  writeFileSync(path.join(kept, 'mine.txt'), 'left alone');
  expect(await backUpOnce(kept, url, '2026-03-16')).toBe(true);
  const there = readdirSync(kept).sort();
  expect(there.length).toBe(15);
  expect(there[0]).toBe('mine.txt');
  expect(there[1]).toBe('skelby-2026-03-03.backup');
  expect(await backUpOnce(path.join(kept, 'mine.txt'), url, '2026-03-17')).toBe(false);
  expect(said.join('')).toMatch(/! No backup today: /);
}, 60_000);
