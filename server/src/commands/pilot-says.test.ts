import type { WeaknessPage } from '@skelby/core/pages/pages';
import type { PilotPortalPage } from '@skelby/core/pages/portal';
import { ownSchool } from '../testing/own-school';
import { confirmation, id, occurrence, PILOT, type Visitor } from '../testing/test-school';

/** What a pilot says of a weakness of their own: that the restriction was read, or that it was otherwise. */

const school = ownSchool('Says School');

async function weaknessOf(trainer: Visitor) {
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  const confirmed = await again(trainer, pilotId);
  const link = await trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/links`, { days: 5 });
  return { pilotId, weaknessId: confirmed, token: link.body.token };
}

async function again(trainer: Visitor, pilotId: string): Promise<string> {
  const occurrenceId = id();
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId));
  const confirmed = confirmation();
  const { body } = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmed,
  );
  return body.weaknessId ?? confirmed.weaknessId;
}

const as = (token: string) => ({ Authorization: `Bearer ${token}` });
const say = (token: string, fields: object, key = id()) =>
  school.here.server
    .visitor()
    .ask('PUT', `/api/own/said/${key}`, { words: '', at: new Date().toISOString(), ...fields }, as(token));
const portal = async (token: string) =>
  (await school.here.server.visitor().ask<PilotPortalPage>('GET', '/api/own', undefined, as(token))).body;
const told = async (weaknessId: string) =>
  (await school.here.trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body.said!;

test('the restriction is read, with its time and by the link alone; a new occurrence asks for it again', async () => {
  const { trainer } = school.here;
  const { pilotId, weaknessId, token } = await weaknessOf(trainer);
  expect((await portal(token)).weaknesses).toMatchObject([{ id: weaknessId, readAt: null, otherwise: null }]);
  expect(await told(weaknessId)).toEqual([]);
  const key = id();
  expect((await say(token, { weaknessId, says: 'read' }, key)).status).toBe(200);
  // Sent again, since the answer was lost: said once.
  expect((await say(token, { weaknessId, says: 'read' }, key)).status).toBe(200);
  expect(await told(weaknessId)).toMatchObject([{ says: 'read', words: null }]);
  const [now] = (await portal(token)).weaknesses;
  expect(Date.now() - Date.parse(now!.readAt!)).toBeLessThan(60_000);

  expect(await again(trainer, pilotId)).toBe(weaknessId);
  expect((await portal(token)).weaknesses).toMatchObject([{ readAt: null }]);
  expect(await told(weaknessId)).toHaveLength(1);
  // Nobody who is signed in reads in a pilot's place.
  const byTrainer = await trainer.put(`/own/said/${id()}`, {
    weaknessId,
    says: 'read',
    words: '',
    at: new Date().toISOString(),
  });
  expect(byTrainer.status).toBe(403);
});

test('the pilot sees it otherwise: both views stand beside each other, and nothing of the weakness moves', async () => {
  const { weaknessId, token } = await weaknessOf(school.here.trainer);
  const before = (await school.here.trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body;
  const short = await say(token, { weaknessId, says: 'otherwise', words: ' ' });
  expect([short.status, short.body]).toMatchObject([422, { errors: [{ field: 'words' }] }]);
  const words = 'The sun stood in the lens; I knew where its nose was.';
  expect((await say(token, { weaknessId, says: 'otherwise', words })).status).toBe(200);
  expect(await told(weaknessId)).toMatchObject([{ says: 'otherwise', words }]);
  expect((await portal(token)).weaknesses).toMatchObject([{ otherwise: words }]);
  const after = (await school.here.trainer.get<WeaknessPage>(`/weaknesses/${weaknessId}`)).body;
  expect({ ...after, said: [] }).toEqual({ ...before, said: [] });
});

test("another pilot's weakness is none of theirs, and a made-up one neither", async () => {
  const { trainer } = school.here;
  const [one, other] = [await weaknessOf(trainer), await weaknessOf(trainer)];
  for (const weaknessId of [other.weaknessId, id()])
    expect((await say(one.token, { weaknessId, says: 'read' })).status).toBe(404);
  expect(await told(other.weaknessId)).toEqual([]);
  expect((await say('A'.repeat(32), { weaknessId: one.weaknessId, says: 'read' })).status).toBe(404);
});

test('who reads what is written of them stands on their page, without those whose account is ended', async () => {
  const { trainer, schoolId, server } = school.here;
  const { token } = await weaknessOf(trainer);
  await server.colleague(schoolId);
  expect((await portal(token)).readBy).toEqual([
    { name: expect.any(String), role: 'owner' },
    { name: expect.any(String), role: 'trainer' },
  ]);
  await server.db('accounts').where({ schoolId, role: 'trainer' }).update({ endedAt: new Date() });
  expect((await portal(token)).readBy).toHaveLength(1);
});

test('what was said is blanked when the pilot is forgotten', async () => {
  const { trainer } = school.here;
  const { pilotId, weaknessId, token } = await weaknessOf(trainer);
  await say(token, { weaknessId, says: 'otherwise', words: 'It was the green heron.' });
  await trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: PILOT.name });
  expect(JSON.stringify(await told(weaknessId))).not.toContain('green heron');
});
