import { randomUUID } from 'node:crypto';
import { Readable } from 'node:stream';
import { setTimeout } from 'node:timers/promises';
import type { ImportPage } from '@skelby/core/pages/imports';
import { pino } from 'pino';
import { inSchool } from '../db/in-school';
import type { Jobs } from '../db/jobs';
import { type Lanes, openLanes } from '../db/lanes';
import { startTestServer, type TestServer, type Visitor } from '../testing/test-school';
import { startImport } from './imports';
import { workOnImport } from './work-on-import';

/** Files that are brought in as jobs: looked at while they go on, stopped, broken off and taken up again. */

let server: TestServer;
let lanes: Lanes;
beforeAll(async () => {
  server = await startTestServer();
  lanes = openLanes(server.appUrl);
});
afterAll(async () => {
  await lanes.close();
  await server.close();
});

const HEAD = 'pilot,kind,day,happened_at,logged_cause';
/** So many entries without keys of their own: brought in twice, each would be there twice. */
const csvOf = (rows: number, pilot = 'Nils Overbeck'): string =>
  [
    HEAD,
    ...Array.from(
      { length: rows },
      (_, i) =>
        `${pilot},crash,2026-03-02,2026-03-02T${String(i % 24).padStart(2, '0')}:00:00.000Z,overcontrol`,
    ),
    '',
  ].join('\r\n');

const give = async (who: Visitor, text: string, name = 'season.csv') =>
  who.ask<ImportPage>('POST', `/api/imports?format=csv&name=${encodeURIComponent(name)}`, text, {
    'Content-Type': 'application/octet-stream',
  });

/** A job that could not be given back, since that connection was cut too, is taken up after a minute. */
const LONGEST_S = 100;

/** Looks until it is so. */
async function until(
  who: Visitor,
  id: string,
  so: (file: ImportPage) => boolean,
  withinS = 30,
): Promise<ImportPage> {
  for (let i = 0; i < 20 * withinS; i += 1) {
    const { body } = await who.get<ImportPage>(`/imports/${id}`);
    if (so(body)) return body;
    await setTimeout(50);
  }
  throw new Error(`It did not come to that within ${withinS} s.`);
}
const isOver = ({ state }: ImportPage) => state !== 'waiting' && state !== 'working';
const count = async (schoolId: string): Promise<number> =>
  Number((await server.db('occurrences').where({ schoolId }).count('* as n').first())!['n']);
const log = pino({ level: 'silent' });

test('a file is looked over, then brought in without being given again; its bytes are gone after that', async () => {
  const { schoolId, trainer } = await server.school('Looks First');
  const { status, body } = await give(trainer, csvOf(700), 'season 1.csv');
  expect([status, body.name, body.saves]).toEqual([202, 'season 1.csv', false]);
  const seen = await until(trainer, body.id, isOver);
  expect(seen).toMatchObject({
    state: 'looked-over',
    share: 1,
    report: { rows: 700, good: 700, saved: false },
  });
  expect(await count(schoolId)).toBe(0);
  await trainer.ask('POST', `/api/imports/${body.id}/bring-in`, {});
  // A second tap asks for nothing more.
  await trainer.ask('POST', `/api/imports/${body.id}/bring-in`, {});
  const brought = await until(trainer, body.id, (file) => file.saves && isOver(file));
  expect(brought).toMatchObject({
    state: 'brought-in',
    report: { rows: 700, good: 700, newPilots: ['Nils Overbeck'], saved: true },
  });
  expect(await count(schoolId)).toBe(700);
  expect(await server.db('import_parts').where({ schoolId })).toEqual([]);
  const told = await server.db('events').where({ schoolId, action: 'imported' });
  expect(told.map(({ data }: { data: object }) => data)).toEqual([
    { rows: 700, good: 700, already: 0, bad: 0 },
  ]);
  const again = await trainer.ask<{ detail: string }>('POST', `/api/imports/${body.id}/stop`, {});
  expect(again.body).toMatchObject({ state: 'brought-in' });
});

/** A file that was looked over and is to be brought in, for tests that work on it themselves. */
async function kept(schoolId: string, text: string): Promise<string> {
  const accountId = (await server.db('accounts').where({ schoolId }).first('id')).id as string;
  const nobody: Jobs = { add: async () => {}, work: async () => {}, close: async () => {} };
  const { id } = await inSchool(lanes.files, { schoolId, accountId }, (school) =>
    startImport(school, nobody, { name: 'kept.csv', format: 'csv' }, Readable.from([Buffer.from(text)])),
  );
  await server.db('imports').where({ id }).update({ saves: true });
  return id;
}
const row = (id: string) => server.db('imports').where({ id }).first();

test('a server that stops half-way leaves off at an entry, and the next one goes on there', async () => {
  const { schoolId } = await server.school('Breaks Off');
  const id = await kept(schoolId, csvOf(1_000));
  const pieces: string[] = [];
  for (let i = 0; i < 5; i += 1)
    pieces.push(await workOnImport({ schoolId, id }, { files: lanes.files, log, isStopping: () => true }));
  expect(pieces).toEqual(['more', 'more', 'more', 'more', 'ended']);
  expect(await row(id)).toMatchObject({ state: 'brought-in', rows: 1_000 });
  expect(await count(schoolId)).toBe(1_000);
});

test('two servers on one file: each entry is there once', async () => {
  const { schoolId } = await server.school('Two At Once');
  const id = await kept(schoolId, csvOf(1_500));
  const other = openLanes(server.appUrl);
  try {
    await Promise.all(
      [lanes, other].map(({ files }) =>
        workOnImport({ schoolId, id }, { files, log, isStopping: () => false }),
      ),
    );
  } finally {
    await other.close();
  }
  expect(await row(id)).toMatchObject({ state: 'brought-in', rows: 1_500 });
  expect(await count(schoolId)).toBe(1_500);
});

test('a server that was killed while it worked on a file: another takes it up', async () => {
  const { schoolId, trainer } = await server.school('Killed');
  const id = await kept(schoolId, csvOf(600));
  await workOnImport({ schoolId, id }, { files: lanes.files, log, isStopping: () => true });
  // As it left the job: begun, and not ended within the minute that a piece may take.
  await server.db.raw(
    "insert into pgboss.job (name, data, state, started_on, retry_limit, expire_in) values ('imports', ?, 'active', now() - interval '61 seconds', 100, interval '60 seconds')",
    [JSON.stringify({ schoolId, id })],
  );
  expect(await until(trainer, id, isOver)).toMatchObject({ state: 'brought-in', report: { rows: 600 } });
  expect(await count(schoolId)).toBe(600);
}, 60_000);

test('the database goes away in the middle: what was saved counts once, and the rest comes after it', async () => {
  const { schoolId, trainer } = await server.school('Cut Off');
  const { body } = await give(trainer, csvOf(4_000));
  await until(trainer, body.id, isOver);
  await trainer.ask('POST', `/api/imports/${body.id}/bring-in`, {});
  await until(trainer, body.id, (file) => file.saves && file.report.rows > 0);
  await server.db.raw(
    "select pg_terminate_backend(pid) from pg_stat_activity where usename = 'skelby_app' and datname = current_database()",
  );
  for (let i = 0; i < 3; i += 1) await trainer.get('/imports').catch(() => undefined);
  const brought = await until(trainer, body.id, (file) => file.saves && isOver(file), LONGEST_S);
  expect(brought).toMatchObject({ state: 'brought-in', report: { rows: 4_000, good: 4_000 } });
  expect(await count(schoolId)).toBe(4_000);
}, 180_000);

test('stopped, what came in stays, and nothing more comes', async () => {
  const { schoolId, trainer } = await server.school('Stops');
  const id = await kept(schoolId, csvOf(1_000));
  await workOnImport({ schoolId, id }, { files: lanes.files, log, isStopping: () => true });
  const { body } = await trainer.ask<ImportPage>('POST', `/api/imports/${id}/stop`, {});
  expect(body).toMatchObject({ state: 'stopped', report: { rows: 250, good: 250, saved: false } });
  expect(await workOnImport({ schoolId, id }, { files: lanes.files, log, isStopping: () => false })).toBe(
    'ended',
  );
  expect([await count(schoolId), await server.db('import_parts').where({ schoolId })]).toEqual([250, []]);
  const late = await trainer.ask<{ detail: string }>('POST', `/api/imports/${id}/bring-in`, {});
  expect([late.status, late.body.detail]).toEqual([
    409,
    'This file is not there to be brought in any more: give it once more.',
  ]);
});

test('a fault of ours is tried again, given up in the end, and told', async () => {
  const { schoolId } = await server.school('Our Fault');
  const id = await kept(schoolId, csvOf(10));
  // Nobody can refer to an account that is not there.
  await server.db.raw('alter table imports drop constraint imports_school_id_account_id_fkey');
  await server.db('imports').where({ id }).update({ accountId: randomUUID() });
  const work = () => workOnImport({ schoolId, id }, { files: lanes.files, log, isStopping: () => false });
  expect([await work(), await work(), await work()]).toEqual(['more', 'more', 'ended']);
  const { state, problem } = await row(id);
  expect([state, problem.length > 20]).toEqual(['failed', true]);
  expect(await count(schoolId)).toBe(0);
});

test('another school neither sees a file nor does anything to it, and a reader brings nothing in', async () => {
  const own = await server.school('Own Files');
  const other = await server.school('Other Files');
  const { body } = await give(own.trainer, csvOf(3));
  await until(own.trainer, body.id, isOver);
  const asked = await Promise.all([
    other.trainer.get(`/imports/${body.id}`),
    other.trainer.ask('POST', `/api/imports/${body.id}/bring-in`, {}),
    other.trainer.ask('POST', `/api/imports/${body.id}/stop`, {}),
  ]);
  expect(asked.map(({ status }) => status)).toEqual([404, 404, 404]);
  expect((await other.trainer.get('/imports')).body).toEqual([]);
  await server.db('accounts').where({ schoolId: other.schoolId }).update({ role: 'reader' });
  expect((await give(other.trainer, csvOf(1))).status).toBe(403);
  expect((await other.trainer.get('/imports')).status).toBe(403);
});

test('a job says a school and a file by their keys, and nothing of what is in it', async () => {
  const { trainer, schoolId } = await server.school('Says Nothing');
  const { body } = await give(trainer, csvOf(2, 'Quillon Marsh'));
  await until(trainer, body.id, isOver);
  const { rows } = (await server.db.raw(
    "select data from pgboss.job where data ->> 'id' = ? union all select data from pgboss.archive where data ->> 'id' = ?",
    [body.id, body.id],
  )) as { rows: { data: object }[] };
  expect(rows.map(({ data }) => data)).toEqual([{ schoolId, id: body.id }]);
});
