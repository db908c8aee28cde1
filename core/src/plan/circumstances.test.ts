import { CAUSES } from '../causes/causes';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { leftOutFor, weighedFor } from './circumstances';
import { keyDrillsFor } from './key-drills';
import { leftOutOf, PLAN_CEILING, proposePlan } from './propose-plan';

const ids = (...args: Parameters<typeof proposePlan>) =>
  proposePlan(...args).map((planned) => planned.drillId);

test('a drill of certain surroundings is asked for by who flies there, and left out for who flies elsewhere', () => {
  expect(weighedFor('under-roof-pass', { places: ['open', 'under-structure'] })).toEqual({
    for: 'place',
    place: 'under-structure',
  });
  expect(weighedFor('tail-in-hover', { places: ['under-structure'] })).toBeNull();
  expect(leftOutFor('under-roof-pass', { places: ['open', 'trees'] })).toEqual({
    for: 'place',
    places: ['open', 'trees'],
  });
  expect(leftOutFor('under-roof-pass', { places: ['indoors'] })).toBeNull();
  expect(leftOutFor('under-roof-pass', {})).toBeNull();
});

test('the wind flown in asks for wind drills from its own band up, and the wind limit rules out what is above it', () => {
  expect(weighedFor('crab-leg', { windiestMps: 1.9 })).toBeNull();
  expect(weighedFor('crab-leg', { windiestMps: 2 })).toEqual({ for: 'wind', windMps: 2 });
  expect(weighedFor('into-wind-hover', { windiestMps: 4.9 })).toBeNull();
  expect(weighedFor('into-wind-hover', { windiestMps: 5 })).not.toBeNull();
  expect(leftOutFor('crab-leg', { windLimitMps: 2 })).toEqual({ for: 'wind', bands: ['light', 'breezy'] });
  expect(leftOutFor('crab-leg', { windLimitMps: 3 })).toBeNull();
});

test('a mode that no craft has needs no drill; one not known of does', () => {
  expect(leftOutFor('relative-mode-discipline', { hasPilotRelative: false })).toEqual({ for: 'craft' });
  expect(leftOutFor('relative-mode-discipline', { hasPilotRelative: null })).toBeNull();
});

test('what comes off nine times in ten for sure is left out; what may be luck is not', () => {
  expect(leftOutFor('tail-in-hover', { abilities: { hover: { mean: 3.2, sd: 0.3 } } })?.for).toBe('level');
  expect(leftOutFor('tail-in-hover', { abilities: { hover: { mean: 3.2, sd: 1.2 } } })).toBeNull();
  expect(leftOutFor('tail-in-hover', { abilities: { hover: { mean: 1, sd: 0.3 } } })).toBeNull();
  expect(leftOutFor('failsafe-brief', { abilities: { head: { mean: 5, sd: 0.1 } } })).toBeNull();
});

test('whatever is known, what decides stays in, and the plan holds its size', () => {
  const circumstances = [
    { places: ['open'] as const, windLimitMps: 1.5, hasPilotRelative: false },
    { severity: 1 },
    { severity: 5, places: ['indoors', 'trees'] as const, windiestMps: 8 },
    {
      abilities: {
        hover: { mean: 5, sd: 0.2 },
        pointing: { mean: 5, sd: 0.2 },
        turns: { mean: 5, sd: 0.2 },
        wash: { mean: 5, sd: 0.2 },
        obstacles: { mean: 5, sd: 0.2 },
        air: { mean: 5, sd: 0.2 },
        hands: { mean: 5, sd: 0.2 },
      },
    },
  ];
  for (const cause of CAUSES)
    for (const mode of FLIGHT_MODES)
      for (const known of circumstances) {
        const plan = ids(cause.id, mode, known);
        expect(plan).toEqual(expect.arrayContaining([...keyDrillsFor(cause, mode)]));
        expect(plan.length).toBeLessThanOrEqual(PLAN_CEILING);
        for (const { drillId } of leftOutOf(cause.id, mode, known)) expect(plan).not.toContain(drillId);
      }
});

test('a slight matter gets a shorter plan than a grave one', () => {
  const longer = CAUSES.filter(
    (cause) =>
      ids(cause.id, 'position-hold', { severity: 5 }).length >
      ids(cause.id, 'position-hold', { severity: 1 }).length,
  );
  expect(longer.length).toBeGreaterThan(5);
  for (const cause of CAUSES)
    expect(ids(cause.id, 'position-hold', { severity: 5 }).length).toBeGreaterThanOrEqual(
      ids(cause.id, 'position-hold', { severity: 1 }).length,
    );
});
