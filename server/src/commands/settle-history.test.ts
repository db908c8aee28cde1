import type { TodayList } from '@skelby/core/pages/pages';
import { ownSchool } from '../testing/own-school';
import { id, occurrence, type Visitor, withOccurrence } from '../testing/test-school';

const school = ownSchool();

const logged = async (who: Visitor, pilotId: string, day: string): Promise<string> => {
  const key = id();
  const happened = occurrence(pilotId, { happenedAt: `${day}T10:00:00.000Z`, day });
  expect((await who.put(`/occurrences/${key}`, happened)).status).toBeLessThan(300);
  return key;
};
const open = async (who: Visitor) =>
  (await who.get<TodayList>('/today')).body.toDebrief.map((each) => each.id).sort();

test('what happened up to a day is settled at once, what came later is not, and it can be undone', async () => {
  const who = school.here.trainer;
  const { pilotId, occurrenceId: now } = await withOccurrence(who);
  const old = [await logged(who, pilotId, '2019-05-01'), await logged(who, pilotId, '2019-05-02')];
  const late = await logged(who, pilotId, '2019-05-03');
  const settle = `/settlings/${id()}`;
  expect((await who.put(settle, { until: '2019-05-02' })).body).toMatchObject({ settled: 2 });
  expect(await open(who)).toEqual([late, now].sort());
  // Sent twice it is done once.
  expect((await who.put(settle, { until: '2019-05-02' })).body).toMatchObject({ settled: 0 });
  expect((await who.put(`${settle}/undone`, {})).status).toBe(200);
  expect(await open(who)).toEqual([...old, late, now].sort());
});

test('a day that is none is named', async () => {
  const { status, body } = await school.here.trainer.put<{ errors: { field: string }[] }>(
    `/settlings/${id()}`,
    { until: '2019-02-30' },
  );
  expect([status, body.errors.map(({ field }) => field)]).toEqual([422, ['until']]);
});
