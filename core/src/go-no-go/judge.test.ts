import { CAUSES, type CauseId } from '../causes/causes';
import { craftFacts, SPEED_SETTINGS, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { FLIGHT_MODES, PLACES } from '../vocabulary/flying';
import { RESTRICTION_LIMITS } from '../restrictions/limits';
import { windAloft } from '../reconstruct/wind-aloft';
import type { FlightToBe } from './flight-to-be';
import { judgeFlight } from './judge';

/** The one judge: nothing unsafe goes, and every refusal says what would make it go. */

const CAMERA = craftFacts({ ...USUAL_CRAFT, sensorSides: ['ahead', 'below'] });
const EASY: FlightToBe = {
  craft: CAMERA,
  setting: 'normal',
  mode: 'position-hold',
  pilotRelative: false,
  windLimitMps: 6.7,
  place: 'open',
  tallestM: 9,
  ceilingM: null,
  heightLimitM: 120,
  heightM: 15,
  nearestM: 40,
  peopleM: 60,
  windMps: 3,
  gustMps: 5,
  windFromOutDeg: 0,
  farthestM: 50,
  chargePct: 100,
  reservePct: 25,
  altitudeM: 300,
  visibilityM: 5000,
  rain: false,
  lightMin: 120,
  weaknesses: [],
};
const refused = (more: Partial<FlightToBe>) =>
  judgeFlight({ ...EASY, ...more })
    .checks.filter(({ go }) => go === false)
    .map(({ id }) => id);
const until = (causeId: CauseId) => ({ weaknesses: [{ causeId }] });
const manual = craftFacts({ ...USUAL_CRAFT, mode: 'self-level' });

test('an easy flight has one thing left to look at: that the failsafe is set', () => {
  const card = judgeFlight(EASY);
  expect(card.go).toBeNull();
  expect(card.checks.filter(({ go }) => go !== true).map(({ id }) => id)).toEqual(['lost-link']);
  expect(card.lostLink).toMatchObject({ action: 'return', returnHeightM: 19 });
  expect(card.descentLimitMps).toBeCloseTo(1.3, 1);
  expect(card.sightLimitM).toBeCloseTo(67, 0);
  // The lesser of what charge and eye allow is what is taken along.
  expect(card.turnBackM).toBe(card.sightLimitM);
});

test('the air up there is stronger: the one-seventh power law', () => {
  expect(windAloft(5, 2)).toBe(5);
  expect(windAloft(5, 20)).toBeCloseTo(6.95, 2);
  expect(windAloft(5, 100)).toBeCloseTo(8.74, 2);
});

test.each<[string, Partial<FlightToBe>, string]>([
  ["wind over the pilot's limit", { windMps: 7, gustMps: 6.5, heightM: 2 }, 'wind,gust'],
  ["gusts over the pilot's limit", { gustMps: 7, heightM: 2 }, 'gust'],
  ['more wind up there than half the top speed', { gustMps: 6.5, heightM: 60, peopleM: 80 }, 'aloft'],
  ['farther than the charge allows', { chargePct: 26 }, 'energy'],
  ['farther than it can be read', { farthestM: 90 }, 'sight'],
  ['a reserve under 20 %', { reservePct: 15 }, 'reserve'],
  ['rain', { rain: true }, 'rain'],
  ['little light', { lightMin: 5 }, 'light'],
  ['people near', { peopleM: 12 }, 'people'],
  ['people nearer than it is high', { heightM: 80, peopleM: 50, gustMps: 3, windMps: 2 }, 'people'],
  ['above what rules allow', { heightM: 130, peopleM: 200, gustMps: 3, windMps: 2 }, 'height'],
  ['a roof of which nobody knows how high it is', { place: 'indoors' }, 'roof'],
  ['through the roof', { place: 'indoors', ceilingM: 7, heightM: 8 }, 'roof'],
  [
    'no satellites and no sensor below',
    { place: 'indoors', ceilingM: 7, heightM: 3, craft: craftFacts(USUAL_CRAFT) },
    'hold',
  ],
  ['near things with the sensors off', { place: 'trees', setting: 'fast', craft: CAMERA }, 'sensors'],
  ['a craft that cannot hold over water', { place: 'water', craft: manual, mode: 'self-level' }, 'lost-link'],
  ['slow only, fast chosen', { ...until('overcontrol'), setting: 'fast' }, 'until-cleared overcontrol'],
  [
    'slow near anything, normal chosen',
    { ...until('obstacle-overrun'), nearestM: 20 },
    'until-cleared obstacle-overrun',
  ],
  ['under the floor', { ...until('height-loss'), heightM: 6 }, 'until-cleared height-loss'],
  [
    'people beside nose-in work',
    { ...until('orientation-nose-in'), peopleM: 12 },
    'people,until-cleared orientation-nose-in',
  ],
  ['beyond half of what can be read', { ...until('beyond-sight'), farthestM: 45 }, 'sight'],
  [
    'pilot-relative mode',
    { ...until('pilot-relative-trap'), pilotRelative: true },
    'until-cleared pilot-relative-trap',
  ],
  [
    'without hold near something',
    { ...until('no-gps-drift'), craft: manual, mode: 'self-level', nearestM: 10 },
    'until-cleared no-gps-drift',
  ],
  ['wind cut by a third', { ...until('wind-displacement'), windMps: 5, gustMps: 5 }, 'wind,gust'],
])('%s is no-go', (_, more, ids) => {
  expect(refused(more).join()).toBe(ids);
  expect(judgeFlight({ ...EASY, ...more }).go).toBe(false);
});

test('what nobody has told is looked at, and never goes by itself', () => {
  const untold = {
    heightM: null,
    nearestM: null,
    peopleM: null,
    gustMps: null,
    farthestM: null,
    chargePct: null,
    visibilityM: null,
    rain: null,
    lightMin: null,
  };
  const card = judgeFlight({ ...EASY, ...untold });
  expect(card.go).toBeNull();
  expect(card.checks.filter(({ go }) => go === null).map(({ id }) => id)).toEqual([
    'gust',
    'aloft',
    'energy',
    'sight',
    'rain',
    'light',
    'people',
    'height',
    'lost-link',
  ]);
  expect(judgeFlight({ ...EASY, ...untold, ...until('height-loss') }).go).toBe(false);
});

test('wind of which nobody said where it comes from is against the way home', () => {
  const far = { farthestM: 60, chargePct: 60, gustMps: 4, windMps: 4, setting: 'slow' as const };
  const across = judgeFlight({ ...EASY, ...far, windFromOutDeg: 90 });
  const untold = judgeFlight({ ...EASY, ...far, windFromOutDeg: null });
  expect(untold.turnBackM!).toBeLessThanOrEqual(across.turnBackM!);
});

describe('the whole matrix of cause, craft, place, setting and mode', () => {
  const crafts = [CAMERA, craftFacts(USUAL_CRAFT), manual, craftFacts({ ...USUAL_CRAFT, mode: 'rate' })];
  const flights = PLACES.flatMap((place) =>
    SPEED_SETTINGS.flatMap((setting) =>
      crafts.flatMap((craft) =>
        FLIGHT_MODES.flatMap((mode) =>
          CAUSES.map(({ id }): FlightToBe => {
            const ceilingM = place === 'indoors' ? 7 : null;
            return { ...EASY, place, setting, craft, mode, ceilingM, heightM: 4, ...until(id) };
          }),
        ),
      ),
    ),
  );

  test('nothing goes that a restriction, a roof or the craft forbids', () => {
    expect(flights.length).toBeGreaterThan(5000);
    for (const flight of flights) {
      const card = judgeFlight(flight);
      const { action, returnHeightM } = card.lostLink;
      const says = JSON.stringify([
        flight.place,
        flight.setting,
        flight.mode,
        flight.weaknesses,
        card.lostLink,
      ]);
      if (!flight.craft.hasPositionHold && action !== 'descend') throw new Error(says);
      if (flight.place === 'indoors' && returnHeightM !== null) throw new Error(says);
      const [{ causeId }] = flight.weaknesses as [{ causeId: CauseId }];
      const isSlowOnly = RESTRICTION_LIMITS[causeId].some(
        (limit) => limit.limit === 'slow' && limit.withinM === null,
      );
      if (isSlowOnly && flight.setting !== 'slow' && card.go !== false) throw new Error(says);
      if (card.go === true) throw new Error(says);
    }
  });

  test('every refusal and every question says what to do', () => {
    for (const flight of flights)
      for (const { go, remedy, said } of judgeFlight(flight).checks)
        if ((go === true) !== (remedy === null)) throw new Error(said.say);
  });
});

test('only the lesser turn-back is said: no kilometres of charge beside what the eye reads', () => {
  const energyOf = (more: Partial<FlightToBe>) =>
    judgeFlight({ ...EASY, ...more }).checks.find(({ id }) => id === 'energy')!;
  expect(energyOf({})).toMatchObject({
    go: true,
    said: { say: 'check.energy-beyond-sight', with: { farthestM: 50 } },
  });
  const { said } = energyOf({ chargePct: 26, farthestM: 66 });
  expect(said.say).toBe('check.energy');
  expect(said.with!['turnBackM']).toBeLessThan(1000);
  const { turnBackM, sightLimitM } = judgeFlight(EASY);
  expect(turnBackM).toBe(sightLimitM);
});
