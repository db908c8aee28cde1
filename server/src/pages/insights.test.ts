import { reportOf } from '@skelby/core/insights/report';
import type { InsightsPage } from '@skelby/core/pages/insights';
import { ownSchool } from '../testing/own-school';
import { confirmation, CRAFT, id, occurrence, PILOT, SITE, type Visitor } from '../testing/test-school';
import { typeProblems } from '../testing/typed';

/** What a school is told of itself is what it has written down, and nobody else's. */

const school = ownSchool('Insight School');
const today = () => new Date().toISOString().slice(0, 10);
const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);
const page = async (trainer: Visitor, query = '') =>
  (await trainer.get<InsightsPage>(`/insights${query}`)).body;

async function ground(trainer: Visitor) {
  const [pilotId, craftId, one, other] = [id(), id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/sites/${one}`, { ...SITE, name: 'Moor' });
  await trainer.put(`/sites/${other}`, { ...SITE, name: 'Quarry' });
  const fly = (day: string, siteId: string, windMps = 1) =>
    trainer.put(`/flights/${id()}`, { pilotId, craftId, siteId, day, packs: 1, minutes: 12, windMps });
  return { pilotId, craftId, one, other, fly };
}

test('flights and what happened are counted by month, site, craft, wind and cause; what was withdrawn is not', async () => {
  const { trainer } = school.here;
  const { pilotId, one, other, fly } = await ground(trainer);
  for (const [day, site, wind] of [
    [today(), one, 1],
    [today(), one, 3],
    [ago(40), other, 6],
  ] as const)
    expect((await fly(day, site, wind)).status).toBe(200);
  const crash = {
    ...occurrence(pilotId),
    kind: 'crash',
    siteId: one,
    day: today(),
    happenedAt: new Date().toISOString(),
  };
  const [kept, gone] = [id(), id()];
  await trainer.put(`/occurrences/${kept}`, crash);
  await trainer.put(`/occurrences/${gone}`, crash);
  await trainer.put(`/occurrences/${gone}/withdrawn`, { reason: 'Logged twice' });
  const found = await page(trainer);
  expect(found.months).toHaveLength(12);
  expect(found.months.at(-1)).toMatchObject({ flights: 2, minutes: 24, crashes: 1, nearMisses: 0 });
  expect(found.months.reduce((sum, { flights }) => sum + flights, 0)).toBe(3);
  expect(found.sites.map(({ name, flights, crashes }) => [name, flights, crashes])).toEqual([
    ['Moor', 2, 1],
    ['Quarry', 1, 0],
  ]);
  expect(Object.fromEntries(found.bands.map(({ band, flights }) => [band, flights]))).toMatchObject({
    calm: 1,
    light: 1,
    breezy: 1,
  });
  expect(found.causes).toMatchObject([{ crashes: 1, nearMisses: 0 }]);
  expect(typeProblems([{ type: 'insights.InsightsPage', answer: found }])).toEqual([]);
  const report = reportOf(found);
  expect(report).toMatchObject({ flights: 3, crashes: { events: 1, rate: 1 / 3 } });
  expect(report.hours).toBeCloseTo(0.6, 6);
});

test('a weakness is in it with its moves and what was flown before and after, without what opened it', async () => {
  const { trainer, server, schoolId } = school.here;
  const { pilotId, one, fly } = await ground(trainer);
  await fly(ago(30), one);
  const occurrenceId = id();
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId));
  const { status } = await trainer.put(`/occurrences/${occurrenceId}/confirmation`, confirmation());
  expect(status).toBe(200);
  const openedOn = (await server.db('weaknesses').where({ schoolId, pilotId }).first('opened_at')) as {
    openedAt: string;
  };
  expect(openedOn.openedAt).toBeTruthy();
  const { weaknesses } = await page(trainer);
  expect(weaknesses).toHaveLength(1);
  expect(weaknesses[0]!.moves.map(({ kind }) => kind)).toEqual(['opened']);
  expect(weaknesses[0]!.before.events).toBe(0);
  expect(reportOf(await page(trainer)).toClear).toMatchObject({ all: 1, ended: 0, median: null });
  expect(JSON.stringify(weaknesses)).not.toContain(pilotId);
});

test('months have their limits, and another school sees none of it', async () => {
  const { trainer, server } = school.here;
  expect((await page(trainer, '?months=36')).months).toHaveLength(36);
  for (const months of ['2', '61', 'x', '3.5'])
    expect((await trainer.get(`/insights?months=${months}`)).status).toBe(422);
  const other = await server.school('Another School');
  const found = await page(other.trainer);
  expect(found.months.every(({ flights, crashes }) => flights === 0 && crashes === 0)).toBe(true);
  expect([found.sites, found.causes, found.weaknesses]).toEqual([[], [], []]);
  expect(reportOf(found)).toMatchObject({ flights: 0, crashes: { rate: null }, worse: null });
});
