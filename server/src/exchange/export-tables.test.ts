import { parse } from 'csv-parse/sync';
import { ownSchool } from '../testing/own-school';
import { CRAFT, id, PILOT, rep, SITE, withWeakness } from '../testing/test-school';
import { LEAVING_TABLES, type LeavingTableName } from './export-tables';

/** Every table leaves as a file that another author's reader takes back as it was, the own school's rows alone. */

const school = ownSchool('Tables School');
const NAMES = Object.keys(LEAVING_TABLES) as LeavingTableName[];
type Row = Readonly<Record<string, string>>;
const table = async (name: LeavingTableName, who = school.here.trainer): Promise<readonly Row[]> =>
  parse(await who.raw(`/api/tables/${name}.csv`), { columns: true });

test('what was written down stands in its table, with names beside keys and units in the columns', async () => {
  const { trainer } = school.here;
  const { weaknessId, pilotId } = await withWeakness(trainer);
  const [craftId, siteId, flightId] = [id(), id(), id()];
  await trainer.put(`/craft/${craftId}`, { ...CRAFT, name: 'Old, "Blue" one' });
  await trainer.put(`/sites/${siteId}`, { ...SITE, altitudeM: -12.5, note: '=1+1\nsecond line' });
  const flown = { packs: 2, minutes: 11.5, windMps: 3.2, day: '2026-03-01' };
  await trainer.put(`/flights/${flightId}`, { pilotId, craftId, siteId, ...flown });
  const [kept, back] = [id(), id()];
  await trainer.put(`/reps/${kept}`, rep(weaknessId, { craftId, distanceM: 9 }));
  await trainer.put(`/reps/${back}`, rep(weaknessId, { met: false, missReason: 'height' }));
  await trainer.put(`/reps/${back}/taken-back`, { reason: 'Thumb slipped' });

  expect((await table('flights')).find((row) => row['id'] === flightId)).toMatchObject({
    ...{ craft: 'Old, "Blue" one', site: SITE.name, packs: '2', minutes: '11.5', wind_mps: '3.2' },
    ...{ day: '2026-03-01', farthest_m: '' },
  });
  const reps = await table('reps');
  expect(reps.find((row) => row['id'] === kept)).toMatchObject({
    ...{ weakness_id: weaknessId, cause_id: 'overcontrol', met: 'true', craft: 'Old, "Blue" one' },
    ...{ distance_m: '9', taken_back_at: '', taken_back_reason: '' },
  });
  expect(reps.find((row) => row['id'] === back)).toMatchObject({
    ...{ met: 'false', miss_reason: 'height', taken_back_reason: 'Thumb slipped' },
  });
  const site = (await table('sites')).find((row) => row['id'] === siteId)!;
  // A number keeps its minus; a text that a table program would run does not.
  expect(site).toMatchObject({ altitude_m: '-12.5', note: "'=1+1\nsecond line" });
  expect((await table('weaknesses')).map((row) => row['state'])).toContain('drilling');
  expect((await table('moves')).map((row) => row['kind'])).toContain('opened');
  expect((await table('pilots')).map((row) => row['name'])).toContain(PILOT.name);
});

test.each(NAMES)(
  '%s: its columns are there without a row, and nothing of another school is in it',
  async (name) => {
    const other = await school.here.server.school(`Other of ${name}`);
    const text = await other.trainer.raw(`/api/tables/${name}.csv`);
    expect(text).toBe(`${Object.keys(LEAVING_TABLES[name].columns).join(',')}\r\n`);
  },
);

test('two thousand flights come whole, each once; it stands in the history; what is no table is none', async () => {
  const { trainer, server, schoolId } = school.here;
  const [pilotId, craftId, siteId] = [id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/sites/${siteId}`, SITE);
  const rows = Array.from({ length: 2_100 }, () => ({
    ...{ schoolId, id: id(), pilotId, craftId, siteId, day: '2026-01-05', packs: 1, minutes: 5, windMps: 1 },
  }));
  await server.db.batchInsert('flights', rows, 300);
  const ids = (await table('flights')).filter((row) => row['pilot_id'] === pilotId).map((row) => row['id']);
  expect(new Set(ids).size).toBe(2_100);
  expect(ids).toHaveLength(2_100);
  const { rows: told } = (await server.db.raw(
    "select count(*)::int as count from events where school_id = ? and action = 'exported' and reason = 'tables/flights.csv'",
    [schoolId],
  )) as { rows: [{ count: number }] };
  expect(told[0].count).toBeGreaterThan(0);
  expect((await trainer.get('/tables/accounts.csv')).status).toBe(404);
});
