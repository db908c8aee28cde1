import { id, PILOT, rep, startTestServer, type TestServer, withWeakness } from '../testing/test-school';

/** What a plan weighs comes from the pilot's own flights, reps and debriefs. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const CRAFT = {
  name: 'Fellhopper',
  mode: 'position-hold',
  massKg: 0.9,
  spanM: 0.6,
  rotors: 4,
  rotorRadiusM: 0.12,
  thrustToWeight: 2,
  topSpeedMps: 14,
  hasPauseSwitch: true,
  hasPilotRelative: false,
};

test('places and winds of the flights, the modes of the craft, and what the reps say of each skill', async () => {
  const { trainer } = await server.school('Carrowfell');
  const { pilotId, weaknessId } = await withWeakness(trainer);
  const [craftId, siteId] = [id(), id()];
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/sites/${siteId}`, {
    name: 'Under the viaduct',
    place: 'under-structure',
    tallestM: 20,
  });
  const knownNow = async () =>
    (await trainer.get<{ known: Record<string, unknown> }>(`/weaknesses/${weaknessId}`)).body.known;
  expect(await knownNow()).toMatchObject({
    track: 'assist-down',
    windLimitMps: PILOT.windLimitMps,
    met: [],
    places: [],
    windiestMps: null,
    hasPilotRelative: null,
    severity: null,
    told: [],
    abilities: {},
  });
  for (const windMps of [1, 4])
    await trainer.put(`/flights/${id()}`, {
      pilotId,
      craftId,
      siteId,
      day: '2026-03-03',
      packs: 2,
      minutes: 14,
      windMps,
    });
  await trainer.put(`/reps/${id()}`, rep(weaknessId));
  const known = await knownNow();
  expect(known).toMatchObject({
    met: ['tail-in-hover'],
    places: ['under-structure'],
    windiestMps: 4,
    hasPilotRelative: false,
  });
  expect((known['abilities'] as { hover: { mean: number; sd: number } }).hover.mean).toBeGreaterThan(0);
});
