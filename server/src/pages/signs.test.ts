import { earlySigns } from '@skelby/core/insights/early-signs';
import type { SignsPage } from '@skelby/core/pages/signs';
import { ownSchool } from '../testing/own-school';
import { CRAFT, id, occurrence, PILOT, rep, SITE, withWeakness } from '../testing/test-school';
import { typeProblems } from '../testing/typed';

/** Early signs are looked for in what the school has written down of who still flies, and in nothing else. */

const school = ownSchool('Signs School');
const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);
const look = async () => (await school.here.trainer.get<SignsPage>('/signs')).body;

test('reps of a drill are told by how many were missed lately and before, without those taken back', async () => {
  const { trainer, server, schoolId } = school.here;
  const { pilotId, weaknessId } = await withWeakness(trainer);
  const flown = rep(weaknessId, { purpose: 'practice', met: false, missReason: 'height' });
  expect(
    (await trainer.put(`/reps/${id()}`, { ...flown, day: ago(0), flownAt: new Date().toISOString() })).status,
  ).toBe(200);
  // As many more as it takes, of the rep that came in by the door: the last thirty missed, those before met.
  const copies = (from: number, to: number, met: boolean, takenBack = false) =>
    server.db.raw(
      `insert into reps select n.*
         from (select * from reps where school_id = :schoolId and pilot_id = :pilotId limit 1) r,
           generate_series(:from::int, :to::int) i,
           jsonb_populate_record(null::reps, to_jsonb(r) || jsonb_build_object('id', gen_random_uuid(), 'met', :met::bool,
             'miss_reason', case when not :met::bool then 'height' end, 'day', current_date - i / 24,
             'flown_at', now() - make_interval(hours => i),
             'taken_back_at', case when :takenBack::bool then now() end)) n`,
      { met, takenBack, schoolId, pilotId, from, to },
    );
  await copies(1, 29, false);
  await copies(30, 79, true);
  await copies(80, 200, false, true);
  const page = await look();
  expect(page.drilled).toMatchObject([
    {
      ...{ pilotId, drillId: 'tail-in-hover', lately: { events: 30, tries: 30 } },
      before: { events: 0, tries: 50 },
    },
  ]);
  expect(earlySigns(page).pilots).toMatchObject([{ pilotId, signs: [{ kind: 'misses-more' }] }]);
});

test('near-misses and flights are told of the last days and of the year before, and by site and wind', async () => {
  const { trainer } = school.here;
  const [pilotId, craftId, siteId] = [id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Kari' });
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/sites/${siteId}`, SITE);
  for (const [day, windMps] of [
    [ago(0), 1],
    [ago(29), 9],
    [ago(30), 9],
    [ago(400), 9],
  ] as const)
    await trainer.put(`/flights/${id()}`, { pilotId, craftId, siteId, day, packs: 1, minutes: 10, windMps });
  const near = { kind: 'near-miss', siteId, windMps: 9, day: ago(1), happenedAt: new Date().toISOString() };
  const gone = id();
  for (const key of [id(), gone]) await trainer.put(`/occurrences/${key}`, occurrence(pilotId, near));
  await trainer.put(`/occurrences/${gone}/withdrawn`, { reason: 'Logged twice' });
  const { flown, places } = await look();
  expect(flown.find((each) => each.pilotId === pilotId)).toMatchObject({
    ...{ lately: { flights: 2, nearMisses: 1 }, before: { flights: 1, nearMisses: 0 } },
    lastFlownOn: ago(0),
  });
  expect(places.filter((each) => each.siteId === siteId)).toMatchObject([
    { band: 'breezy', flights: 2, nearMisses: 1, crashes: 0 },
    { band: 'calm', flights: 1, nearMisses: 0 },
  ]);
});

test('another school sees none of it', async () => {
  const { trainer } = await school.here.server.school('Beyond');
  expect((await trainer.get<SignsPage>('/signs')).body).toMatchObject({
    ...{ drilled: [], flown: [], checks: [], places: [] },
  });
});

test('what is told is what the app reads', async () => {
  expect(typeProblems([{ type: 'signs.SignsPage', answer: await look() }])).toEqual([]);
});
