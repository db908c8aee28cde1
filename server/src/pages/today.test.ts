import type { TodayList } from '@skelby/core/pages/pages';
import type { ToDebriefPage } from '@skelby/core/pages/older';
import { ownSchool } from '../testing/own-school';
import { id, PILOT } from '../testing/test-school';

/** Today is as long with hundreds to debrief as with some dozens, and loses none of them. */

const school = ownSchool();
const MANY = 170;

async function anotherPilot(): Promise<string> {
  const key = id();
  expect((await school.here.trainer.put(`/pilots/${key}`, { ...PILOT, name: `Pilot ${key}` })).status).toBe(
    200,
  );
  return key;
}

/** So many occurrences of a pilot, one an hour, the last of them at an hour's `from`. */
const happened = (pilotId: string, from: string) =>
  school.here.server.db.raw(
    `insert into occurrences (school_id, id, pilot_id, kind, cause_id, happened_at, day)
     select school_id, gen_random_uuid(), id, 'near-miss', 'coasting', ?::timestamptz - i * interval '1 hour', (?::timestamptz - i * interval '1 hour')::date
       from pilots, generate_series(0, ${MANY - 1}) i where id = ?`,
    [from, from, pilotId],
  );

test('the newest of one’s own pilots and of others’, how many there are, and the rest page after page', async () => {
  const { trainer, server, schoolId } = school.here;
  const [mine, others] = [await anotherPilot(), await anotherPilot()];
  const [colleague] = (await server
    .db('accounts')
    .insert({
      ...{ schoolId, id: id(), email: `${id()}@carrowfell.example`, name: 'Ragnhild Oystvik' },
      ...{ passwordHash: 'none', role: 'trainer' },
    })
    .returning('id')) as { id: string }[];
  await server
    .db('pilots')
    .where({ id: others })
    .update({ trainerIds: [colleague!.id] });
  await happened(mine, '2026-03-03T09:00:00Z');
  await happened(others, '2026-03-04T09:30:00Z');

  const { body: today } = await trainer.get<TodayList>('/today');
  const of = (pilotId: string) => today.toDebrief.filter((each) => each.pilotId === pilotId);
  expect([of(mine).length, of(others).length]).toEqual([40, 40]);
  expect(today.toDebriefLeft).toEqual({ mine: MANY - 40, all: 2 * (MANY - 40) });
  const at = today.toDebrief.map(({ happenedAt }) => happenedAt);
  expect(at).toEqual([...at].sort().reverse());
  expect(of(mine)[0]!.happenedAt).toBe('2026-03-03T09:00:00.000Z');

  const read = async (whose: string) => {
    const all: TodayList['toDebrief'][number][] = [];
    for (let after = ''; ; after = `&after=${all.at(-1)!.id}`) {
      const { body } = await trainer.get<ToDebriefPage>(`/to-debrief?whose=${whose}${after}`);
      all.push(...body.toDebrief);
      if (!body.hasMore) return all;
    }
  };
  const [own, everybodys] = [await read('mine'), await read('all')];
  expect(new Set(own.map(({ id: key }) => key)).size).toBe(MANY);
  expect(own.every(({ pilotId }) => pilotId === mine)).toBe(true);
  expect(new Set(everybodys.map(({ id: key }) => key)).size).toBe(2 * MANY);
  expect((await trainer.get('/to-debrief?after=1')).status).toBe(422);
});

test('whoever was named and trains no more leaves the pilot to everybody', async () => {
  const { trainer, server, schoolId } = school.here;
  const pilotId = await anotherPilot();
  const gone = { schoolId, id: id(), email: `${id()}@carrowfell.example`, name: 'Gone Away' };
  await server.db('accounts').insert({ ...gone, passwordHash: 'none', role: 'trainer', endedAt: new Date() });
  await server
    .db('pilots')
    .where({ id: pilotId })
    .update({ trainerIds: [gone.id] });
  const before = (await trainer.get<TodayList>('/today')).body.toDebriefLeft!;
  await happened(pilotId, '2026-03-05T09:00:00Z');
  expect((await trainer.get<TodayList>('/today')).body.toDebriefLeft).toEqual({
    mine: before.mine + MANY,
    all: before.all + MANY,
  });
});
