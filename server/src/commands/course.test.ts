import type { CoursePage } from '@skelby/core/pages/course';
import type { PilotPage } from '@skelby/core/pages/pages';
import { ownSchool } from '../testing/own-school';
import { id, PILOT, type Visitor } from '../testing/test-school';

/** What is said of a pilot on the course, by whom, and what becomes of it. */

const school = ownSchool('Course School');

const fact = (part: object = {}) => ({
  ...{ kind: 'rep', drillId: 'single-stick', side: null, met: true, missReason: null, flownOn: 'craft' },
  ...{ band: 'calm', factId: null, reason: '', day: '2026-05-01', at: '2026-05-01T10:00:00.000Z' },
  ...part,
});

async function newPilot(trainer: Visitor, fields: object = {}): Promise<string> {
  const pilotId = id();
  expect((await trainer.put(`/pilots/${pilotId}`, { ...PILOT, ...fields })).status).toBe(200);
  return pilotId;
}

const courseOf = async (trainer: Visitor, pilotId: string) =>
  (await trainer.get<PilotPage>(`/pilots/${pilotId}`)).body.course!;

test('a fact is written once, stands on the pilot’s page, and is taken back with a reason', async () => {
  const { trainer } = school.here;
  const pilotId = await newPilot(trainer);
  const key = id();
  const at = `/pilots/${pilotId}/course/${key}`;
  expect((await trainer.put(at, fact())).status).toBe(200);
  // Sent again, since the answer was lost.
  expect((await trainer.put(at, fact())).status).toBe(200);
  expect((await trainer.put(at, fact({ met: false }))).status).toBe(409);
  expect(await courseOf(trainer, pilotId)).toMatchObject([{ id: key, drillId: 'single-stick', met: true }]);
  const back = fact({ kind: 'taken-back', factId: key, reason: 'Mis-tap' });
  expect((await trainer.put(`/pilots/${pilotId}/course/${id()}`, back)).status).toBe(200);
  expect(await courseOf(trainer, pilotId)).toHaveLength(2);
  const page = (await trainer.get<CoursePage>('/course')).body.pilots.find((each) => each.id === pilotId)!;
  expect(page).toMatchObject({ begun: false, now: 0, shown: [0, 0, 0, 0, 0, 0, 0, 0] });
});

test('where each pilot stands is told at a glance, with what was shown before anything was counted', async () => {
  const { trainer } = school.here;
  const pilotId = await newPilot(trainer, { shown: ['single-stick', 'pop-up-takeoff'] });
  const shown = fact({ kind: 'shown', drillId: 'pad-landing', reason: 'Seen at the club' });
  await trainer.put(`/pilots/${pilotId}/course/${id()}`, shown);
  const page = (await trainer.get<CoursePage>('/course')).body.pilots.find((each) => each.id === pilotId)!;
  expect(page).toMatchObject({ begun: true, now: 0, lastDay: '2026-05-01' });
  expect(page.shown[1]).toBe(page.parts[1]);
});

test.each([
  ['reason', { kind: 'shown' }, 'who saw it'],
  ['met', { kind: 'shown', reason: 'Seen', met: false }, 'true'],
  ['side', { side: 'left' }, 'side'],
  ['side', { drillId: 'side-on-hover' }, 'Side'],
  ['flownOn', { kind: 'test', flownOn: 'simulator' }, 'craft'],
  ['flownOn', { drillId: 'hover-check', flownOn: 'simulator' }, 'simulator'],
  ['factId', { kind: 'taken-back', reason: 'Slip' }, 'Key'],
  ['missReason', { missReason: 'height' }, ''],
  ['day', { day: '2026-01-01' }, 'Day'],
  ['drillId', { drillId: 'flying-backwards' }, 'rill'],
])('%s is refused by name: %j', async (field, part, words) => {
  const { trainer } = school.here;
  const pilotId = await newPilot(trainer);
  const { status, body } = await trainer.put<{ errors: { field: string; message: string }[] }>(
    `/pilots/${pilotId}/course/${id()}`,
    fact(part),
  );
  expect(status).toBe(422);
  expect(JSON.stringify(body)).toContain(`"${field}"`);
  expect(JSON.stringify(body)).toContain(words);
});

test('what is another pilot’s cannot be taken back here, nor a taking back; a pilot who is none has no course', async () => {
  const { trainer } = school.here;
  const [one, two] = [await newPilot(trainer), await newPilot(trainer)];
  const key = id();
  await trainer.put(`/pilots/${one}/course/${key}`, fact());
  const back = fact({ kind: 'taken-back', factId: key, reason: 'Mis-tap' });
  expect((await trainer.put(`/pilots/${two}/course/${id()}`, back)).status).toBe(422);
  const backKey = id();
  expect((await trainer.put(`/pilots/${one}/course/${backKey}`, back)).status).toBe(200);
  const twice = fact({ kind: 'taken-back', factId: backKey, reason: 'Again' });
  expect((await trainer.put(`/pilots/${one}/course/${id()}`, twice)).status).toBe(422);
  expect((await trainer.put(`/pilots/${id()}/course/${id()}`, fact())).status).toBe(404);
});

test('forgetting a pilot takes the words of the course along, and nothing more is said of them', async () => {
  const { trainer, server, schoolId } = school.here;
  const pilotId = await newPilot(trainer, { name: 'Ilse Karrow' });
  const seen = fact({ kind: 'shown', reason: 'Ilse Karrow flew it for Hanne' });
  await trainer.put(`/pilots/${pilotId}/course/${id()}`, seen);
  const forgot = await trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: 'Ilse Karrow' });
  expect(forgot.status).toBe(200);
  const rows = (await server
    .db('course_facts')
    .where({ schoolId, pilotId })
    .select('reason', 'kind')) as object[];
  expect(rows).toEqual([{ reason: '(forgotten)', kind: 'shown' }]);
  expect((await trainer.put(`/pilots/${pilotId}/course/${id()}`, fact())).status).toBe(409);
});

test('the role of the server changes nothing of what was said', async () => {
  const { trainer, server, schoolId } = school.here;
  const pilotId = await newPilot(trainer);
  await trainer.put(`/pilots/${pilotId}/course/${id()}`, fact({ kind: 'shown', reason: 'Seen at the club' }));
  const as = (sql: string) =>
    server.db.transaction(async (tx) => {
      await tx.raw(`select set_config('role', 'skelby_app', true), set_config('skelby.school', ?, true)`, [
        schoolId,
      ]);
      await tx.raw(sql, [pilotId]);
    });
  await expect(as(`update course_facts set reason = 'Never' where pilot_id = ?`)).rejects.toThrow(
    /only ever added/,
  );
  await expect(as('update course_facts set met = false where pilot_id = ?')).rejects.toThrow(
    /permission denied/,
  );
  await expect(as('delete from course_facts where pilot_id = ?')).rejects.toThrow(/permission denied/);
});
