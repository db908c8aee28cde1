import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { BatchAnswer, BatchCommand } from '@skelby/core/sync/batch';
import { DEMO_TRAINERS } from '../demo/school';
import { refreshWeakness } from '../facts/refresh-weakness';
import { startTestServer, type TestServer, type Visitor } from '../testing/test-school';
import { inSchool } from './in-school';

/** A school and a phone as the first version left them: what it wrote is migrated, and what waits is delivered. */

const FIXTURES = path.join(__dirname, '../../../fixtures/v1');
const json = <T>(name: string) => JSON.parse(readFileSync(path.join(FIXTURES, name), 'utf8')) as T;

interface Standing {
  readonly id: string;
  readonly schoolId: string;
  readonly state: string;
  readonly rungs: readonly number[];
  readonly checkFrom: string | null;
  readonly checkPassed: boolean;
  readonly signedEarly: boolean;
}

let server: TestServer;
let before: readonly Standing[];
let trainer: Visitor;
const standings = () =>
  server
    .db('weaknesses')
    .select('id', 'school_id', 'state', 'rungs', 'check_from', 'check_passed', 'signed_early')
    .orderBy('id') as unknown as Promise<readonly Standing[]>;

beforeAll(async () => {
  const dump = gunzipSync(readFileSync(path.join(FIXTURES, 'database.sql.gz'))).toString();
  server = await startTestServer({
    restore: dump,
    beforeMigrating: async (db) => {
      before = (await db('weaknesses')
        .select('id', 'school_id', 'state', 'rungs', 'check_from', 'check_passed', 'signed_early')
        .orderBy('id')) as Standing[];
    },
  });
  trainer = await server.visitor().signIn(DEMO_TRAINERS[0].email, DEMO_TRAINERS[0].password);
}, 120_000);
afterAll(() => server.close());

test('every weakness keeps every rung, in the lists and worked out anew', async () => {
  expect(before.length).toBeGreaterThan(15);
  expect(new Set(before.map((each) => each.state)).size).toBeGreaterThanOrEqual(4);
  expect(await standings()).toEqual(before);
  for (const { id, schoolId } of before)
    await inSchool(server.db, { schoolId, accountId: null }, (school) => refreshWeakness(school, id));
  expect(await standings()).toEqual(before);
}, 120_000);

test('what waited on its phone goes in, each entry once, and stands on the pages', async () => {
  type Entry = BatchCommand & { readonly what: string };
  const commands = json<[string, Entry][]>('outbox.json').map(([, { key, path: to, stamp, body }]) => ({
    key,
    path: to,
    stamp,
    body,
  }));
  expect(commands.length).toBeGreaterThanOrEqual(8);
  const sentAt = new Date().toISOString();
  for (let times = 0; times < 2; times += 1) {
    const { body } = await trainer.ask<BatchAnswer>('POST', '/api/sync', {
      sentAt,
      minutesAheadOfUtc: 0,
      phone: null,
      commands,
    });
    expect(body.results).toEqual(commands.map(({ key }) => ({ key, done: true })));
  }
  const confirmed = commands.find((each) => each.path.endsWith('/confirmation'))!;
  const { body: page } = await trainer.get<{ reps: { takenBack: boolean }[] }>(
    `/weaknesses/${String(confirmed.body['weaknessId'])}`,
  );
  expect(page.reps).toHaveLength(3);
  expect(page.reps.filter((rep) => rep.takenBack)).toHaveLength(1);
});
