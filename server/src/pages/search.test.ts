import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import type { SearchPage } from '@skelby/core/pages/search';
import { inSchool } from '../db/in-school';
import { ownSchool } from '../testing/own-school';
import { CRAFT, id, occurrence, PILOT, SITE, type Visitor } from '../testing/test-school';
import { typeProblems } from '../testing/typed';

/** What somebody half remembers is found, in one's own school and nowhere else. */

const school = ownSchool('Search School');
const ask = async (who: Visitor, query: string) => (await who.get<SearchPage>(`/search?${query}`)).body;
const look = (q: string, more = '') => ask(school.here.trainer, `q=${encodeURIComponent(q)}${more}`);
const nothing = { pilots: [], entries: [], sites: [], craft: [], hasMore: false };

async function entryOf(name: string, note: string, more: object = {}) {
  const { trainer } = school.here;
  const [pilotId, entryId] = [id(), id()];
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name });
  expect((await trainer.put(`/occurrences/${entryId}`, occurrence(pilotId, { note, ...more }))).status).toBe(
    200,
  );
  return { pilotId, entryId };
}
const debriefed = (entryId: string, findings: object, base = 0) =>
  school.here.trainer.put(`/occurrences/${entryId}/debrief/${id()}`, {
    ...{ base, state: 'open', reason: '', at: new Date().toISOString() },
    ...{ weaknessId: id(), moveId: id(), undoId: id(), planId: id() },
    findings: { ...NO_FINDINGS, ...findings },
  });

test('names, notes and what a debrief found are found by the beginnings of words, in any case and without accents', async () => {
  const { trainer } = school.here;
  const { pilotId, entryId } = await entryOf('Åse Dahl', 'A gust over the Léa col took it.');
  const [siteId, craftId] = [id(), id()];
  await trainer.put(`/sites/${siteId}`, { ...SITE, name: 'Skarn', note: 'Wires', hazard: 'Paragliders' });
  await trainer.put(`/craft/${craftId}`, { ...CRAFT, name: 'Hover Nine', note: 'cracked skid' });
  expect(await look('ase')).toMatchObject({ ...nothing, pilots: [{ id: pilotId, name: 'Åse Dahl' }] });
  const found = await look('LEA gus');
  expect(found).toMatchObject({ ...nothing, entries: [{ id: entryId, pilotName: 'Åse Dahl' }] });
  expect(found.entries[0]!.text).toBe('A gust over the Léa col took it.');
  expect(await look('paragl')).toMatchObject({ ...nothing, sites: [{ id: siteId, name: 'Skarn' }] });
  expect(await look('skid nine')).toMatchObject({ ...nothing, craft: [{ id: craftId }] });
  expect(await look('ust')).toEqual(nothing);
  expect((await debriefed(entryId, { damage: ['Left arm'], wentWell: 'Told it at once.' })).status).toBe(200);
  expect((await look('left arm')).entries).toMatchObject([{ id: entryId, text: 'Left arm' }]);
  expect(typeProblems([{ type: 'search.SearchPage', answer: found }])).toEqual([]);
});

test('an entry is found by its cause, and not any more by what its debrief said before', async () => {
  const { entryId } = await entryOf('Runa', 'Nothing said.', { causeId: 'wash-settling' });
  await debriefed(entryId, { wentWell: 'Quicksilver' });
  expect((await look('', '&causes=wash-settling,yaw-tumble')).entries).toMatchObject([{ id: entryId }]);
  expect((await look('quicksilver')).entries).toHaveLength(1);
  await debriefed(entryId, { wentWell: 'Calm' }, 1);
  expect((await look('quicksilver')).entries).toEqual([]);
  await school.here.trainer.put(`/occurrences/${entryId}/withdrawn`, { reason: 'Logged twice' });
  expect((await look('', '&causes=wash-settling')).entries).toEqual([]);
});

test('a name that is withheld is not told beside what it belongs to', async () => {
  const { entryId } = await entryOf('Solveig', 'Marmot on the pad.');
  await debriefed(entryId, { nameWithheld: true });
  expect((await look('marmot')).entries).toMatchObject([{ id: entryId, pilotName: null }]);
});

test('whoever is forgotten is not found any more, by name or in what was said', async () => {
  const { pilotId, entryId } = await entryOf('Torvald Grue', 'Torvald looked away at the cairn.');
  await debriefed(entryId, { wentWell: 'Torvald said so.' });
  await school.here.trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: 'Torvald Grue' });
  expect(await look('torvald')).toEqual(nothing);
  expect(JSON.stringify(await school.here.server.db('search_words').select())).not.toMatch(/torvald|grue/i);
});

test('twenty of a kind are told, the newest first, and that there are more', async () => {
  const { trainer } = school.here;
  const { pilotId } = await entryOf('Many', 'first pebble');
  for (let nth = 1; nth <= 21; nth += 1)
    await trainer.put(
      `/occurrences/${id()}`,
      occurrence(pilotId, {
        ...{ note: `pebble ${nth}`, day: '2026-03-04' },
        happenedAt: `2026-03-04T09:${String(nth).padStart(2, '0')}:00.000Z`,
      }),
    );
  const found = await look('pebble');
  expect(found.entries.map(({ text }) => text)).toEqual(
    Array.from({ length: 20 }, (_, i) => `pebble ${21 - i}`),
  );
  expect(found.hasMore).toBe(true);
});

test('no other school is found, whatever is typed, and nothing typed is more than words', async () => {
  const { server, schoolId } = school.here;
  const { trainer: other } = await server.school('Across the Valley');
  for (const typed of ['gust', 'pebble', schoolId, `school:${schoolId}`, `x | school:${schoolId}`])
    expect(await ask(other, `q=${encodeURIComponent(typed)}`)).toEqual(nothing);
  for (const typed of ["' | 'a", 'a:* & !b', '!gust', '\\', '<->', "');drop table pilots;--", '\u0000', ':*'])
    expect((await school.here.trainer.get(`/search?q=${encodeURIComponent(typed)}`)).status).toBe(200);
  for (const query of ['q=a&q=b', `q=${'a'.repeat(101)}`, 'causes=hit-a-tree', "causes='"])
    expect((await other.get(`/search?${query}`)).status).toBe(422);
  await expect(
    inSchool(server.lanes.asked, { schoolId, accountId: null }, ({ tx }) => tx('search_words').delete()),
  ).rejects.toThrow(/permission denied/);
});
