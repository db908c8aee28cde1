import { CAUSES } from '@skelby/core/causes/causes';
import { startTestServer, type TestServer } from '../testing/test-school';
import { loadDemo } from './load';

let server: TestServer;
beforeAll(async () => { server = await startTestServer(); });
afterAll(() => server.close());

const MS_PER_DAY = 86_400_000;

test('the demo school is all there, in every state of the loop, dated up to the day of loading', async () => {
  const now = new Date();
  expect(await loadDemo(server.db, now)).toBe(true);
  expect(await loadDemo(server.db, now)).toBe(false);
  const count = async (table: string) => Number((await server.db(table).count('* as n').first() as { n: number }).n);
  expect(await Promise.all(['accounts', 'pilots', 'craft', 'sites', 'occurrences'].map(count))).toEqual([2, 9, 4, 3, 25]);
  const causes = await server.db('occurrences').distinct('cause_id').pluck('cause_id') as string[];
  expect(causes.length).toBeGreaterThanOrEqual(12);
  expect(causes.every((id) => CAUSES.some((cause) => cause.id === id))).toBe(true);
  const states = await server.db('weaknesses').distinct('state').pluck('state') as string[];
  expect(states.sort()).toEqual(['closed', 'drilling', 'open', 'ready-for-check', 'watch']);
  expect(await server.db('weaknesses').where({ signedEarly: true })).toHaveLength(1);
  expect((await server.db('occurrences').whereNull('confirmed_cause_id')).length).toBeGreaterThan(0);
  expect((await server.db('debriefs').where({ state: 'closed' })).length).toBeGreaterThanOrEqual(12);
  expect((await server.db('experiences').first()) as { lessons: number }).toMatchObject({ enabled: true });
  const { first, last } = await server.db('flights').min('day as first').max('day as last').first() as { first: string; last: string };
  expect((now.getTime() - Date.parse(first)) / MS_PER_DAY).toBeGreaterThan(100);
  expect(Date.parse(last)).toBeLessThanOrEqual(now.getTime());
}, 60_000);
