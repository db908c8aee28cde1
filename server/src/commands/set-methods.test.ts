import { type Methods, USUAL_METHODS } from '@skelby/core/methods/methods';
import type { CoursePage } from '@skelby/core/pages/course';
import type { InsightsPage } from '@skelby/core/pages/insights';
import type { PilotPage, Roster, WeaknessPage } from '@skelby/core/pages/pages';
import { confirmation, id, occurrence, PILOT } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';

/** A school teaches in its way, a pilot may be taught otherwise, and what follows is kept with what was begun. */

const school = ownSchool();
const TAUGHT: Methods = { ...USUAL_METHODS, sensors: 'used', holdOff: 'early' };

async function newPilot(more: object = {}): Promise<string> {
  const pilotId = id();
  expect((await school.here.trainer.put(`/pilots/${pilotId}`, { ...PILOT, ...more })).status).toBe(200);
  return pilotId;
}

/** Opens a weakness of a cause. @returns its page */
async function opened(pilotId: string, causeId: string): Promise<WeaknessPage> {
  const { trainer } = school.here;
  const occurrenceId = id();
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId));
  const { body } = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmation({ causeId }),
  );
  return (await trainer.get<WeaknessPage>(`/weaknesses/${body.weaknessId}`)).body;
}
const planOf = ({ plans }: WeaknessPage) => plans[0]!.drillIds;

test('what the school has not said is the usual way; what it says stands in the roster and in the history', async () => {
  const { trainer } = school.here;
  const methods = async () => (await trainer.get<Roster>('/roster')).body.methods;
  expect({ ...USUAL_METHODS, ...(await methods()) }).toEqual(USUAL_METHODS);
  expect((await trainer.put('/school/methods', TAUGHT)).status).toBe(200);
  expect(await methods()).toEqual(TAUGHT);
  // The same said again is nothing that happened.
  await trainer.put('/school/methods', TAUGHT);
  const { body } = await trainer.get<{ entries: { action: string; subject: string }[] }>('/history');
  const changes = body.entries.filter(({ action, subject }) => action === 'changed' && subject === 'school');
  expect(changes).toHaveLength(1);
});

test('an answer that is none, and one that is missing, are refused by their names', async () => {
  const { trainer } = school.here;
  const refused = async (body: object) => {
    const answer = await trainer.put<{ errors: { field: string }[] }>('/school/methods', body);
    expect(answer.status).toBe(422);
    return answer.body.errors.map(({ field }) => field);
  };
  expect(await refused({ ...TAUGHT, sensors: 'always' })).toEqual(['sensors']);
  const { mixing: _, ...rest } = TAUGHT;
  expect(await refused(rest)).toEqual(['mixing']);
  const pilot = { ...PILOT, methods: { sensors: 'always' } };
  expect((await trainer.put(`/pilots/${id()}`, pilot)).status).toBe(422);
});

test('plans of what is opened from now on follow, but for the pilot who is taught otherwise', async () => {
  const { trainer } = school.here;
  await trainer.put('/school/methods', USUAL_METHODS);
  const before = await opened(await newPilot(), 'obstacle-blind-side');
  expect(planOf(before)).not.toContain('sensor-find-out');
  await trainer.put('/school/methods', TAUGHT);
  expect(planOf(await opened(await newPilot(), 'obstacle-blind-side'))).toContain('sensor-find-out');
  const own = await newPilot({ methods: { sensors: 'as-if-off' } });
  expect(planOf(await opened(own, 'obstacle-blind-side'))).not.toContain('sensor-find-out');
  const kept = (await trainer.get<WeaknessPage>(`/weaknesses/${before.weakness.id}`)).body;
  expect(planOf(kept)).toEqual(planOf(before));
});

test('the way a pilot was taught at the opening is kept, whatever changes after', async () => {
  const { trainer } = school.here;
  await trainer.put('/school/methods', TAUGHT);
  const pilotId = await newPilot({ track: 'manual-first', methods: { mixing: 'early' } });
  const { weakness } = await opened(pilotId, 'overcontrol');
  await trainer.put('/school/methods', USUAL_METHODS);
  const { rows } = (await school.here.server.db.raw(
    'select taught from opening_stamps where weakness_id = ?',
    [weakness.id],
  )) as { rows: { taught: Methods }[] };
  expect(rows).toEqual([{ taught: { ...TAUGHT, assistance: 'manual-first', mixing: 'early' } }]);
  const { body } = await trainer.get<InsightsPage>('/insights');
  expect(body.weaknesses.map(({ taught }) => taught?.mixing)).toContain('early');
});

test('a phone that knows nothing of it changes nothing of it; the course follows the pilot’s own way', async () => {
  const { trainer } = school.here;
  await trainer.put('/school/methods', USUAL_METHODS);
  const pilotId = await newPilot({ methods: { holdOff: 'early' } });
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Renamed' });
  const { body } = await trainer.get<PilotPage>(`/pilots/${pilotId}`);
  expect([body.pilot.name, body.pilot.methods]).toMatchObject(['Renamed', { holdOff: 'early' }]);
  expect(body.known!.methods).toEqual({ ...USUAL_METHODS, holdOff: 'early' });
  const lessons = ['ground', 'first-hands', 'tail-in'];
  const { courseBy } = await import('@skelby/core/course/lessons');
  for (const { id: lessonId, drillIds } of courseBy(USUAL_METHODS).lessons)
    if (lessons.includes(lessonId))
      for (const drillId of drillIds)
        await trainer.put(`/pilots/${pilotId}/course/${id()}`, {
          ...{ kind: 'shown', drillId, side: null, met: true, missReason: null, flownOn: 'craft' },
          ...{ band: 'calm', factId: null, reason: 'Seen at the club', day: '2026-03-02' },
          at: '2026-03-02T09:30:00.000Z',
        });
  const page = (await trainer.get<CoursePage>('/course')).body;
  expect(page.pilots.find((each) => each.id === pilotId)).toMatchObject({ now: 3, lessonId: 'hold-off' });
});
