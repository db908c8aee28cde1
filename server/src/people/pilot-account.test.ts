import type { PilotPortalPage } from '@skelby/core/pages/portal';
import { dumped } from '../testing/dumped';
import { ownSchool } from '../testing/own-school';
import { id, PILOT, type Visitor, withWeakness } from '../testing/test-school';

/** A pilot with a sign-in of their own: the same as their private link opens, and nothing else. */

const at = ownSchool('Pilot School');
const PASSWORD = 'four otters under a lantern';

const invitationOf = (pilotId: string) =>
  at.here.trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/account`, {});

async function signedUp(pilotId: string, email: string): Promise<Visitor> {
  const { body } = await invitationOf(pilotId);
  const visitor = at.here.server.visitor();
  const { status } = await visitor.ask(
    'POST',
    '/api/invitation',
    { name: 'Somebody Else', email, password: PASSWORD },
    { Authorization: `Bearer ${body.token}` },
  );
  expect(status).toBe(200);
  return visitor;
}

test('signs in, sees their own page, tells, flies and says; everything else is closed', async () => {
  const { pilotId, weaknessId } = await withWeakness(at.here.trainer);
  const other = await withWeakness(at.here.trainer);
  const visitor = await signedUp(pilotId, 'tove@carrowfell.example');
  expect((await visitor.get('/me')).body).toMatchObject({ name: PILOT.name, role: 'pilot' });
  const { status, body } = await visitor.get<PilotPortalPage>('/own');
  expect([status, body.pilot.name, body.weaknesses.map((each) => each.causeId)]).toEqual([
    200,
    PILOT.name,
    ['overcontrol'],
  ]);
  // Whoever reads the record is told; the pilot is none of them.
  expect(body.readBy!.map(({ role }) => role)).toEqual(['owner']);
  const told = {
    causeId: 'coasting',
    note: 'Ran on.',
    happenedAt: '2026-03-04T09:00:00Z',
    day: '2026-03-04',
  };
  expect((await visitor.put(`/own/near-miss/${id()}`, told)).status).toBe(200);
  const said = { says: 'read', words: '', at: new Date().toISOString() };
  expect((await visitor.put(`/own/said/${id()}`, { ...said, weaknessId })).status).toBe(200);
  expect((await visitor.put(`/own/said/${id()}`, { ...said, weaknessId: other.weaknessId })).status).toBe(
    404,
  );

  // What was kept for another account is not taken for this one.
  const kept = { 'X-Account': id() };
  const path = `/api/own/near-miss/${id()}`;
  expect((await visitor.ask('PUT', path, told, kept)).status).toBe(401);

  for (const path of [
    ...['/today', '/roster', '/flights', '/carry', '/history', '/people', '/drills', '/sessions'],
    ...[`/pilots/${pilotId}`, `/weaknesses/${weaknessId}`, '/occurrences.csv', '/school/rule', '/to-debrief'],
  ])
    expect([path, (await visitor.get(path)).status]).toEqual([path, 403]);
  expect((await visitor.put(`/pilots/${id()}`, PILOT)).status).toBe(403);
  const batch = { sentAt: new Date().toISOString(), minutesAheadOfUtc: 0, phone: null, commands: [] };
  expect((await visitor.ask('POST', '/api/sync', batch)).status).toBe(403);
  // And a trainer has no page of that kind.
  expect((await at.here.trainer.get('/own')).status).toBe(403);
});

test('one account a pilot; ended it opens nothing, and another can be made', async () => {
  const { pilotId } = await withWeakness(at.here.trainer);
  const visitor = await signedUp(pilotId, 'one@carrowfell.example');
  expect((await invitationOf(pilotId)).status).toBe(409);
  const { accounts } = (
    await at.here.trainer.get<{ accounts: readonly { id: string; email: string; role: string }[] }>('/people')
  ).body;
  const own = accounts.find(({ email }) => email === 'one@carrowfell.example')!;
  expect(own.role).toBe('pilot');
  // Nobody is made a trainer out of a pilot, or the other way round.
  expect((await at.here.trainer.put(`/people/${own.id}`, { role: 'trainer', ended: false })).status).toBe(
    403,
  );
  expect((await at.here.trainer.put(`/people/${own.id}`, { role: 'pilot', ended: true })).status).toBe(200);
  expect((await visitor.get('/own')).status).toBe(401);
  await signedUp(pilotId, 'another@carrowfell.example');
  expect((await at.here.trainer.put(`/people/${own.id}`, { role: 'pilot', ended: false })).status).toBe(409);
});

test('forgotten, the account and its address are gone too', async () => {
  const { trainer, server } = at.here;
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Ysolde Quarrender' });
  const visitor = await signedUp(pilotId, 'ysolde.quarrender@carrowfell.example');
  const { status } = await trainer.ask('POST', `/api/pilots/${pilotId}/forget`, {
    name: 'Ysolde Quarrender',
  });
  expect(status).toBe(200);
  expect((await visitor.get('/own')).status).toBe(401);
  const all = await dumped(server.db);
  expect(all.toLowerCase()).not.toContain('quarrender');
});
