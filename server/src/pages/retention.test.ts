import type { RetentionPage } from '@skelby/core/pages/people';
import { ownSchool } from '../testing/own-school';
import { id, occurrence, PILOT } from '../testing/test-school';

/** How long a school keeps whom it does not see any more. */

const school = ownSchool();
const page = async () => (await school.here.trainer.get<RetentionPage>('/school/retention')).body;
const set = (keepYears: unknown) => school.here.trainer.put('/school/retention', { keepYears });

const MS_PER_DAY = 86_400_000;
const ago = (days: number) => new Date(Date.now() - days * MS_PER_DAY).toISOString();

async function seen(name: string, daysAgo: number): Promise<string> {
  const { trainer } = school.here;
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name });
  const happenedAt = ago(daysAgo);
  await trainer.put(
    `/occurrences/${id()}`,
    occurrence(pilotId, { happenedAt, day: happenedAt.slice(0, 10) }),
  );
  return pilotId;
}

test('pilots not seen for longer than the school keeps are named, oldest first; nobody goes by itself', async () => {
  await seen('Wick Arnvale', 10);
  const two = await seen('Ossian Crane', 3 * 365);
  const one = await seen('Maren Holt', 5 * 365);
  await school.here.trainer.put(`/pilots/${id()}`, { ...PILOT, name: 'Never Flown' });
  expect(await page()).toEqual({ keepYears: null, over: [] });
  expect((await set(2)).status).toBe(200);
  expect((await page()).over.map(({ id: pilotId, name }) => [pilotId, name])).toEqual([
    [one, 'Maren Holt'],
    [two, 'Ossian Crane'],
  ]);
  // One who is seen again is kept.
  const now = ago(0);
  await school.here.trainer.put(
    `/occurrences/${id()}`,
    occurrence(two, { happenedAt: now, day: now.slice(0, 10) }),
  );
  expect((await page()).over.map(({ name }) => name)).toEqual(['Maren Holt']);
  await school.here.trainer.ask('POST', `/api/pilots/${one}/forget`, { name: 'Maren Holt' });
  expect((await page()).over).toEqual([]);
  expect((await set(null)).status).toBe(200);
  expect(await page()).toEqual({ keepYears: null, over: [] });
});

test.each([0, 31, 2.5, 'two'])('%s years are refused by the field', async (years) => {
  const { status, body } = await set(years);
  expect([status, body]).toMatchObject([422, { errors: [{ field: 'keepYears' }] }]);
});

test('of another school nobody is named, and what was set stands in the history', async () => {
  const other = await school.here.server.school('Another One');
  expect((await other.trainer.get<RetentionPage>('/school/retention')).body).toEqual({
    keepYears: null,
    over: [],
  });
  const { schoolId, server } = school.here;
  const events = (await server
    .db('events')
    .where({ schoolId, subject: 'school' })
    .orderBy('at')
    .pluck('data')) as object[];
  expect(events).toEqual([{ keepYears: 2 }, { keepYears: null }]);
});
