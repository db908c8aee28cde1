import { inLists } from '@skelby/core/clearance/in-lists';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import type { EarlierReps } from '@skelby/core/pages/older';
import { addDays } from '@skelby/core/vocabulary/day';
import { clearanceOfPage } from '@skelby/core/weakness/page';
import type { BatchAnswer } from '@skelby/core/sync/batch';
import { ownSchool } from '../testing/own-school';
import { id, rep, withWeakness } from '../testing/test-school';
import { checkDatabase } from './check-database';

/** What is kept for speed alone never says anything else than the facts do. */

const school = ownSchool();

const FIRST = '2026-03-03';
const at = (day: string, minute: number) =>
  new Date(Date.parse(`${day}T08:00:00Z`) + minute * 60_000).toISOString();

/** Days of practice and announced tests at one weakness, sent as a phone sends them. */
async function fly(weaknessId: string, days: number, from = FIRST): Promise<readonly string[]> {
  const ids: string[] = [];
  for (let d = 0; d < days; d += 1) {
    const day = addDays(from, d);
    const set = id();
    const announced = await school.here.trainer.put(`/weaknesses/${weaknessId}/test-sets/${set}`, {
      ...{ drillId: 'tail-in-hover', side: null, number: 4, day, at: at(day, 30) },
    });
    expect(announced.status).toBe(200);
    const commands = Array.from({ length: 12 }, (_, i) => {
      const key = id();
      ids.push(key);
      const purpose = i < 8 ? 'practice' : 'test';
      return {
        ...{ key, path: `/reps/${key}`, stamp: 'flownAt' },
        body: rep(weaknessId, {
          ...{ purpose, day, met: (i + d) % 3 !== 0, flownAt: at(day, i < 8 ? i : i + 31) },
          testSetId: purpose === 'test' ? set : null,
        }),
      };
    });
    const sentAt = new Date().toISOString();
    const { body } = await school.here.trainer.ask<BatchAnswer>('POST', '/api/sync', {
      ...{ sentAt, minutesAheadOfUtc: 0, phone: null, commands },
    });
    expect(body.results.filter(({ done }) => !done)).toEqual([]);
  }
  return ids;
}

const kept = (weaknessId: string) =>
  school.here.server
    .db('weakness_checkpoints')
    .where({ id: weaknessId })
    .first('before', 'opening') as Promise<{ before: string; opening: unknown } | undefined>;
const differences = async () => (await checkDatabase(school.here.server.db)).differences;

test('a life of many reps is gone on from; late, taken back, undone and changed it is worked out anew', async () => {
  const { weaknessId } = await withWeakness(school.here.trainer);
  const ids = await fly(weaknessId, 6);
  const first = (await kept(weaknessId))!;
  expect(first.before > at(FIRST, 0)).toBe(true);
  expect(await differences()).toEqual([]);

  // One more, flown after: it is not gone back.
  const later = addDays(FIRST, 6);
  await school.here.trainer.put(
    `/reps/${id()}`,
    rep(weaknessId, { purpose: 'practice', day: later, flownAt: at(later, 5) }),
  );
  const second = (await kept(weaknessId))!;
  expect(second.before >= first.before).toBe(true);
  expect(await differences()).toEqual([]);

  // From another phone, flown days before.
  await school.here.trainer.put(
    `/reps/${id()}`,
    rep(weaknessId, { day: FIRST, flownAt: at(FIRST, 25), met: false }),
  );
  expect(await kept(weaknessId)).not.toEqual(second);
  expect(await differences()).toEqual([]);

  // Announced on a phone without signal, and handed in days later.
  await fly(weaknessId, 4, addDays(FIRST, 8));
  const then = (await kept(weaknessId))!;
  const day = addDays(FIRST, 1);
  const late = `/weaknesses/${weaknessId}/test-sets/${id()}`;
  const set = { drillId: 'tail-in-hover', side: null, number: 2, day, at: at(day, 300) };
  await school.here.trainer.put(late, set);
  expect(await kept(weaknessId)).not.toEqual(then);
  expect(await differences()).toEqual([]);
  await fly(weaknessId, 1, addDays(FIRST, 13));
  await school.here.trainer.put(`${late}/called-off`, { at: at(day, 301) });
  expect(await differences()).toEqual([]);

  await fly(weaknessId, 2, addDays(FIRST, 15));
  expect((await kept(weaknessId))!.before > first.before).toBe(true);
  await school.here.trainer.put(`/reps/${ids[9]}/taken-back`, { reason: 'Another pilot.' });
  expect(await differences()).toEqual([]);
});

test('a checkpoint that says something else than the facts is told by the check', async () => {
  const { weaknessId } = await withWeakness(school.here.trainer);
  await fly(weaknessId, 5);
  await school.here.server
    .db('weakness_checkpoints')
    .where({ id: weaknessId })
    .update({ opening: school.here.server.db.raw(`jsonb_set(opening, '{phase}', '"closed"')`) });
  expect((await differences()).map(({ field, weaknessId: of }) => [field, of])).toEqual([
    ['checkpoint', weaknessId],
  ]);
  await school.here.server.db('weakness_checkpoints').where({ id: weaknessId }).delete();
  expect(await differences()).toEqual([]);
});

test('of a great many reps the page has the last, and comes to the same; the others are asked for', async () => {
  const { trainer } = school.here;
  const { weaknessId } = await withWeakness(trainer);
  const read = async (query: string) =>
    (await trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}${query}`)).body;
  const ids = [...(await fly(weaknessId, 10))];
  // Few enough: all of it, and from the beginning.
  expect(await read('?reps=lately')).toEqual(await read(''));

  await trainer.put(`/reps/${ids[9]}/taken-back`, { reason: 'Miscounted.' });
  ids.push(...(await fly(weaknessId, 12, addDays(FIRST, 10))));
  const [whole, lately] = [await read(''), await read('?reps=lately')];
  expect(whole.reps).toHaveLength(ids.length);
  expect(whole.since).toBeUndefined();
  const [slip, ...last] = lately.reps;
  expect(last.length).toBeGreaterThanOrEqual(150);
  expect(last.length).toBeLessThan(180);
  // A slip that waits for a second person is never left behind.
  expect([slip!.id, slip!.takenBack]).toEqual([ids[9], true]);
  const [all, goneOn] = [clearanceOfPage(whole), clearanceOfPage(lately)];
  expect(inLists(goneOn)).toEqual(inLists(all));
  expect([goneOn.check, goneOn.spent, goneOn.coverage]).toEqual([all.check, all.spent, all.coverage]);
  const drawn = (of: typeof all) => of.charts.map(({ curve }) => curve.scores.slice(-30));
  expect(drawn(goneOn)).toEqual(drawn(all));

  // The slip is none of the last: what lies between is asked for too.
  expect(lately.shownFrom).toBe(last[0]!.flownAt);
  const earlier = (
    await trainer.get<EarlierReps>(`/weaknesses/${weaknessId}/reps?before=${lately.shownFrom}`)
  ).body;
  expect(earlier.hasMore).toBe(false);
  expect([...earlier.reps, ...last].map((rep) => rep.id)).toEqual(whole.reps.map((rep) => rep.id));
  expect((await trainer.get(`/weaknesses/${weaknessId}/reps?before=+010000-01-01`)).status).toBe(422);
  expect((await trainer.get(`/weaknesses/${id()}/reps?before=${FIRST}T00:00:00Z`)).status).toBe(404);
});
