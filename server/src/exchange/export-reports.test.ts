import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import { parse } from 'csv-parse/sync';
import { ownSchool } from '../testing/own-school';
import { confirmation, CRAFT, id, occurrence, PILOT } from '../testing/test-school';

/** What is reported in public says what happened, and not to whom. */

const school = ownSchool('Reporting School');
const NAME = 'Nobody Else Is Called So';
const reports = async () => {
  const text = await school.here.trainer.raw('/api/occurrence-reports.csv');
  return { text, rows: parse(text, { columns: true }) as Record<string, string>[] };
};

async function happened(more: object = {}) {
  const { trainer } = school.here;
  const [pilotId, craftId, occurrenceId] = [id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: NAME });
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/occurrences/${occurrenceId}`, { ...occurrence(pilotId), craftId, ...more });
  return occurrenceId;
}

const debrief = (occurrenceId: string, findings: object) =>
  school.here.trainer.put(`/occurrences/${occurrenceId}/debrief/${id()}`, {
    ...{ state: 'open', findings: { ...NO_FINDINGS, ...findings }, base: 0, reason: '', undoId: id() },
    ...confirmation(),
  });

test('what is not told is unknown; nobody is named; what was withdrawn is not in it', async () => {
  const [open, gone] = [await happened({ kind: 'crash', note: '=SUM(A1)' }), await happened()];
  await school.here.trainer.put(`/occurrences/${gone}/withdrawn`, { reason: 'Logged twice' });
  const { text, rows } = await reports();
  expect(rows.find((row) => row['occurrence_id'] === open)).toMatchObject({
    ...{ occurrence_category: 'UNK', flight_phase: 'Unknown', injury_level: 'Unknown' },
    ...{ aircraft_damage: 'Unknown', narrative: "'=SUM(A1)", aircraft_mass_kg: String(CRAFT.massKg) },
  });
  expect(rows.map((row) => row['occurrence_id'])).not.toContain(gone);
  expect(text).not.toContain(NAME);
});

test('a debriefed one has its category, phase, injury and damage; with the name kept back its words are too', async () => {
  const one = await happened({ kind: 'crash', note: 'Into the fence.' });
  const findings = {
    evidence: { phase: 'landing' },
    injury: 'first-aid',
    damage: ['Rotor'],
    nameWithheld: true,
  };
  expect((await debrief(one, findings)).status).toBeLessThan(300);
  await school.here.trainer.put(
    `/occurrences/${one}/confirmation`,
    confirmation({ causeId: 'obstacle-overrun' }),
  );
  const row = (await reports()).rows.find((each) => each['occurrence_id'] === one);
  expect(row).toMatchObject({
    ...{ occurrence_category: 'CTOL', flight_phase: 'Landing', injury_level: 'Minor' },
    ...{ aircraft_damage: 'Minor or substantial', third_party: 'false', narrative: '' },
  });
});

test('another school reads nothing of it', async () => {
  const other = await school.here.server.school('Other Reporting School');
  const text = await other.trainer.raw('/api/occurrence-reports.csv');
  expect(text.trim().split('\n')).toHaveLength(1);
});
