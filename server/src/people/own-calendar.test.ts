import ICAL from 'ical.js';
import type { OwnCalendar } from '@skelby/core/pages/people';
import { ownSchool } from '../testing/own-school';
import { id, PILOT, SITE, type Visitor, withWeakness } from '../testing/test-school';

/** A calendar is read by a general parser of RFC 5545, by whoever has its address, and says no more than it may. */

const at = ownSchool('Calendar School');
const day = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10);

const made = async (who: Visitor) => {
  const { status, body } = await who.ask<{ token: string }>('POST', '/api/me/calendar', {});
  expect(status).toBe(200);
  return body.token;
};
/** As a calendar program asks: without a cookie, an origin or anything else. */
const asked = (token: string) => fetch(`${at.here.server.base}/api/calendar/${token}.ics`);
async function eventsOf(token: string) {
  const answer = await asked(token);
  expect([answer.status, answer.headers.get('Content-Type')]).toEqual([200, 'text/calendar; charset=utf-8']);
  const calendar = new ICAL.Component(ICAL.parse(await answer.text()) as unknown as string[]);
  return calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
}

async function planned(trainer: Visitor, pilotIds: readonly string[], more: object = {}) {
  const [sessionId, siteId] = [id(), id()];
  await trainer.put(`/sites/${siteId}`, { ...SITE, name: 'Merrow; Moor, east' });
  const { status, body } = await trainer.put(`/sessions/${sessionId}`, {
    ...{ day, state: 'planned', siteId, windMps: 2, startsAt: '09:30', lightUntil: null, packsThere: 2 },
    ...{ packMinutes: 8, minutes: 90, goNoGo: null, own: [] },
    packs: pilotIds.map((pilotId) => ({ pilotId, blocks: [] })),
    ...more,
  });
  expect([status, body]).toEqual([200, expect.anything()]);
  return sessionId;
}

test('a trainer reads sessions with hour, place and names, and the checks that are due', async () => {
  const { trainer, server, schoolId } = at.here;
  const token = await made(trainer);
  expect(await eventsOf(token)).toEqual([]);
  const { pilotId, weaknessId } = await withWeakness(trainer);
  const sessionId = await planned(trainer, [pilotId]);
  await server
    .db('weaknesses')
    .where({ schoolId, id: weaknessId })
    .update({ state: 'watch', checkFrom: '2027-02-28' });
  const events = await eventsOf(token);
  const session = events.find(({ uid }) => uid === `${sessionId}@skelby`)!;
  expect(session.startDate.toString()).toBe(`${day}T09:30:00`);
  expect(session.startDate.zone).toBe(ICAL.Timezone.localTimezone);
  expect(session.duration.toSeconds()).toBe(90 * 60);
  expect([session.summary, session.location]).toEqual([`Flying: ${PILOT.name}`, 'Merrow; Moor, east']);
  const check = events.find(({ uid }) => uid === `${weaknessId}@skelby`)!;
  expect([check.startDate.toString(), check.startDate.isDate]).toEqual(['2027-02-28', true]);
  expect(check.summary).toBe(`Check: ${PILOT.name}, Over-control`);
  expect(check.description).toBe(`${server.base}/weakness/${weaknessId}`);
  // What waits is not left in the past, where nobody looks.
  await server.db('weaknesses').where({ schoolId, id: weaknessId }).update({ checkFrom: '2026-01-05' });
  const late = (await eventsOf(token)).find(({ uid }) => uid === `${weaknessId}@skelby`)!;
  expect(late.startDate.toString()).toBe(new Date().toISOString().slice(0, 10));
  expect((await trainer.get<OwnCalendar>('/me/calendar')).body.lastUsedAt).not.toBeNull();
});

test('a pilot’s own says the day and “Training”: no name, hour, place or cause', async () => {
  const { trainer, server } = at.here;
  const { pilotId } = await withWeakness(trainer);
  const other = await withWeakness(trainer);
  await planned(trainer, [pilotId, other.pilotId]);
  await planned(trainer, [other.pilotId]);
  const invitation = await trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/account`, {});
  const pilot = server.visitor();
  await pilot.ask(
    'POST',
    '/api/invitation',
    { name: 'x', email: 'own@calendar.example', password: 'four otters under a lantern' },
    { Authorization: `Bearer ${invitation.body.token}` },
  );
  const token = await made(pilot);
  const text = await (await asked(token)).text();
  expect(text).not.toMatch(/Merrow|Lindqvane|09:?30|LOCATION|DESCRIPTION|Over-control/);
  const events = await eventsOf(token);
  expect(events.map(({ summary }) => summary)).toEqual(['Training']);
  expect(events[0]!.startDate.toString()).toBe(day);
  expect(events[0]!.endDate.isDate).toBe(true);
});

test('a new link ends the one before; one that was ended, made up, or of an account that is closed opens nothing', async () => {
  const { trainer, server, schoolId } = at.here;
  const first = await made(trainer);
  const second = await made(trainer);
  expect((await asked(first)).status).toBe(404);
  expect((await asked(second)).status).toBe(200);
  for (const token of ['', 'x', '../me', second.slice(1), "'", '%00', `${second}x`])
    expect((await asked(token)).status).toBe(404);
  await trainer.ask('POST', '/api/me/calendar/ended', {});
  expect((await asked(second)).status).toBe(404);
  expect((await trainer.get<OwnCalendar>('/me/calendar')).body).toEqual({ madeAt: null, lastUsedAt: null });

  const colleague = await server.colleague(schoolId);
  const theirs = await made(colleague);
  expect((await asked(theirs)).status).toBe(200);
  const { rows } = (await server.db.raw(
    `update accounts set ended_at = now() where id = (
       select account_id from calendar_links where ended_at is null and school_id = ? order by made_at desc limit 1) returning id`,
    [schoolId],
  )) as { rows: object[] };
  expect(rows).toHaveLength(1);
  expect((await asked(theirs)).status).toBe(404);
  // Nor does the token open anything else.
  expect(
    (await fetch(`${server.base}/api/own`, { headers: { Authorization: `Bearer ${theirs}` } })).status,
  ).toBe(404);
});

test('another school’s sessions are in nobody else’s calendar, and the token stands in no table', async () => {
  const { server } = at.here;
  const { trainer } = await server.school('Over the Pass');
  const token = await made(trainer);
  expect(await eventsOf(token)).toEqual([]);
  const { rows } = (await server.db.raw('select row_to_json(l)::text as line from calendar_links l')) as {
    rows: { line: string }[];
  };
  expect(rows.some(({ line }) => line.includes(token))).toBe(false);
});
