import http from 'node:http';
import { connect } from '../db/connection';
import { inSchool } from '../db/in-school';
import { openLanes } from '../db/lanes';
import { Share } from '../db/share';
import { passesByItself } from '../problem/problem';
import { PILOT, id, startTestServer, type TestServer, type Visitor } from '../testing/test-school';

/** What may wait never holds up what somebody waits for, and no school holds up another. */

let server: TestServer;
let heavy: { schoolId: string; trainer: Visitor };
let other: { trainer: Visitor };

beforeAll(async () => {
  server = await startTestServer();
  heavy = await server.school('Heavy');
  other = await server.school('Other');
});
afterAll(() => server.close());

const HEADER = 'pilot,kind,day,happened_at,logged_cause\n';
const line = (name: string) => `${name},crash,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol\n`;

/** An upload that has begun and does not end until it is told to. */
function slowUpload(trainer: Visitor) {
  const { hostname, port } = new URL(server.base);
  let status: (code: number) => void;
  const answered = new Promise<number>((resolve) => {
    status = resolve;
  });
  const request = http.request({
    hostname,
    port,
    method: 'POST',
    path: '/api/imports/occurrences?format=csv&save=nothing',
    headers: { Cookie: trainer.cookie, Origin: server.base, 'Content-Type': 'text/csv' },
  });
  request.on('response', (response) => {
    response.resume();
    status(response.statusCode!);
  });
  request.on('error', () => status(0));
  request.write(HEADER);
  return { answered, end: () => request.end(line('Slow')), breakOff: () => request.destroy() };
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('fifteen uploads that hardly move stop nobody, of their own school neither', async () => {
  const uploads = Array.from({ length: 15 }, () => slowUpload(heavy.trainer));
  await pause(300);
  expect((await other.trainer.get('/today')).status).toBe(200);
  expect((await heavy.trainer.get('/today')).status).toBe(200);
  for (const { breakOff } of uploads.slice(5)) breakOff();
  for (const { end } of uploads.slice(0, 5)) end();
  const answers = await Promise.all(uploads.slice(0, 5).map(({ answered }) => answered));
  expect(answers).toEqual([200, 200, 200, 200, 200]);
  const { rows } = (await server.db.raw('select count(*)::int as n from pilots where name = ?', [
    'Slow',
  ])) as {
    rows: { n: number }[];
  };
  expect(rows[0]!.n).toBe(0);
});

test('thirty phones that open at once: each has its pages, and who asks meanwhile is answered', async () => {
  const phones = Promise.all(Array.from({ length: 30 }, () => heavy.trainer.get('/carry')));
  const meanwhile = await Promise.all(Array.from({ length: 5 }, () => other.trainer.get('/today')));
  expect(meanwhile.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200]);
  const statuses = (await phones).map(({ status }) => status);
  expect(new Set(statuses)).toEqual(new Set([200]));
});

test('a school whose writes all wait for one lock leaves the others their share; what waits too long is sent away', async () => {
  const pilotId = id();
  await heavy.trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Held' });
  const held = await server.db.transaction();
  await held.raw('select 1 from pilots where id = ? for update', [pilotId]);
  const writes = Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      heavy.trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: `Held ${i}`, basedOn: null }),
    ),
  );
  await pause(300);
  expect((await other.trainer.get('/today')).status).toBe(200);
  const answers = await writes;
  await held.rollback();
  expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([503]));
  for (const { headers, body } of answers) {
    expect(headers.get('Retry-After')).toBe('1');
    expect(body['detail']).toContain('Nothing was changed');
  }
  // Every place was given back.
  expect((await heavy.trainer.get('/today')).status).toBe(200);
}, 40_000);

test('a statement that takes too long ends, and passes by itself', async () => {
  const lane = connect(server.appUrl, {
    connections: 1,
    ofOneSchool: 1,
    waitMs: 200,
    statementMs: 100,
    lockMs: 100,
  });
  const who = { schoolId: heavy.schoolId, accountId: null };
  const slow = inSchool(lane, who, ({ tx }) => tx.raw('select pg_sleep(5)') as unknown as Promise<unknown>);
  const waiting = inSchool(lane, who, ({ tx }) => tx.raw('select 1') as unknown as Promise<unknown>);
  const [first, second] = await Promise.allSettled([slow, waiting]);
  expect(first.status === 'rejected' && passesByItself(first.reason)).toBe(true);
  expect(second.status).toBe('fulfilled');
  await lane.destroy();
});

test('limits hold for the transaction alone: a connection is handed on without them', async () => {
  const lanes = openLanes(server.appUrl);
  await inSchool(lanes.asked, { schoolId: heavy.schoolId, accountId: null }, async ({ tx }) => {
    const { rows } = (await tx.raw('show statement_timeout')) as { rows: Record<string, string>[] };
    expect(Object.values(rows[0]!)).toEqual(['15s']);
  });
  const { rows } = (await lanes.asked.raw('show statement_timeout')) as { rows: Record<string, string>[] };
  expect(Object.values(rows[0]!)).toEqual(['0']);
  await lanes.close();
});

describe('the share of a school', () => {
  test('is given on in the order of asking, and to nobody who has given up', async () => {
    const share = new Share(1, 60);
    const first = await share.take('a');
    const order: string[] = [];
    const second = share.take('a').then((giveBack) => {
      order.push('second');
      return giveBack;
    });
    const third = share.take('a').then((giveBack) => {
      order.push('third');
      return giveBack;
    });
    // Another school has a share of its own.
    (await share.take('b'))();
    first();
    (await second)();
    (await third)();
    expect(order).toEqual(['second', 'third']);
    const again = await share.take('a');
    await expect(share.take('a')).rejects.toThrow('All connections are taken.');
    again();
    (await share.take('a'))();
  });
});
