import type { CauseId } from '../causes/causes';
import { answersOf } from '../evidence/evidence';
import { NOTHING } from '../evidence/question';
import { questionOf } from '../evidence/questions';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import type { StoppingDrawing } from './could-it-stop';
import { flightCard, type FlightToBe } from './go-no-go';
import { startOf, sumOf, SUMS, sumsFor, workOut } from './sums';

const CRAFT = craftFacts(USUAL_CRAFT);

describe.each(SUMS.map((sum) => [sum.id, sum] as const))('sum %s', (_, sum) => {
  test('works from its starting values, and says formula, source and assumptions', () => {
    const outcome = workOut(sum, startOf(sum, NOTHING, CRAFT), CRAFT);
    expect(outcome).toHaveProperty('worked');
    if (!('worked' in outcome)) return;
    expect(outcome.worked.figures.every((figure) => Number.isFinite(figure.value))).toBe(true);
    expect(sum.formula && sum.source && sum.assumes && outcome.worked.answer).toBeTruthy();
    expect(sum.wants.map(questionOf)).toHaveLength(sum.wants.length);
  });

  test('every input has a start within its limits, and a value outside them is refused by name', () => {
    const start = startOf(sum, NOTHING, CRAFT);
    expect(Object.keys(start).sort()).toEqual(sum.inputs.map((input) => input.id).sort());
    for (const input of sum.inputs) {
      if (input.kind === 'choice') {
        expect(input.options.map((option) => option.value)).toContain(start[input.id]);
        continue;
      }
      expect(start[input.id]).toBeGreaterThanOrEqual(input.least);
      expect(start[input.id]).toBeLessThanOrEqual(input.most);
      expect(workOut(sum, { ...start, [input.id]: input.most + 1 }, CRAFT)).toEqual({
        problem: expect.stringContaining(`${input.label} lies outside its limits: give a number from`),
      });
    }
  });
});

const answer = (id: string, values: Record<string, number | string>) => {
  const sum = sumOf(id)!;
  const outcome = workOut(sum, { ...startOf(sum, NOTHING, CRAFT), ...values }, CRAFT);
  return 'worked' in outcome ? outcome.worked : null;
};

test('an obstacle seen late could not be missed; seen early it could; the same stick takes longest to stop in fast', () => {
  expect(answer('stop', { speed_mps: 12, seen_at_m: 10 })).toMatchObject({
    tone: 'against',
    answer: expect.stringMatching(/^No: it needed \{m:/),
  });
  expect(answer('stop', { speed_mps: 12, seen_at_m: 90 })).toMatchObject({ tone: 'for' });
  const { drawing } = answer('stop', { speed_mps: 12, seen_at_m: 10 })!;
  const totals = (drawing as StoppingDrawing).settings.map((each) => each.totalM);
  expect(totals).toEqual([...totals].sort((a, b) => a - b));
});

test('straight down at the induced velocity is in the wash; with way on it is not', () => {
  expect(answer('wash', { descent_mps: 5, forward_mps: 0 })!.tone).toBe('against');
  expect(answer('wash', { descent_mps: 5, forward_mps: 9 })!.tone).toBe('for');
});

test('out with the wind and back against it: no way home is said, not divided by nought', () => {
  expect(answer('home', { wind_mps: 20, from_deg: 180 })!.answer).toContain('no way home');
  expect(answer('home', { battery_pct: 3, distance_m: 2000 })!.answer).toMatch(/^No: home took/);
});

test('a return set under the crane, and one that should not return at all', () => {
  expect(answer('return', { return_height_m: 20, tallest_m: 34 })!.answer).toContain(
    'No: set {m:14} below the tallest thing. Wanted {m:44}.',
  );
  expect(
    answer('return', { return_height_m: 60, tallest_m: 20, place: 'under-structure' })!.answer,
  ).toContain('On a lost link here: hover');
});

test('only sums that have something to say about the occurrence are shown', () => {
  const shown = (evidence: Parameters<typeof answersOf>[0]) =>
    sumsFor(answersOf(evidence)).map((sum) => sum.id);
  expect(shown({ phase: 'landing', nose: 'toward' })).toEqual([]);
  expect(shown({ speed_mps: 8, auto_return: 'none' })).toEqual(['stop']);
  expect(shown({ yaw_burst: 'none', height_trend: 'falling' })).toEqual(['lean']);
  expect(shown({ position_hold: 'dropped', gap_ratio: 3 })).toEqual(['drift', 'gap']);
});

describe('go or no-go', () => {
  const flight: FlightToBe = {
    craft: CRAFT,
    setting: 'normal',
    windLimitMps: 6.7,
    place: 'open',
    tallestM: 9,
    windMps: 3,
    gustMps: 5,
    windFromOutDeg: 0,
    farthestM: 50,
    chargePct: 100,
    reservePct: 25,
    altitudeM: 300,
    visibilityM: 5000,
    rain: false,
    weaknesses: [],
  };
  const failing = (more: Partial<FlightToBe>) =>
    flightCard({ ...flight, ...more })
      .checks.filter((check) => !check.go)
      .map((check) => check.id);

  test('an easy flight goes, with figures that fit the craft', () => {
    const card = flightCard(flight);
    expect(card.go).toBe(true);
    expect(card.returnHeightM).toBe(19);
    expect(card.descentLimitMps).toBeCloseTo(1.3, 1);
    expect(card.sightLimitM).toBeCloseTo(67, 0);
  });

  test.each<[string, Partial<FlightToBe>, string]>([
    ["wind over the pilot's limit", { windMps: 7 }, 'wind'],
    ['gusts over half the top speed', { gustMps: 9 }, 'gust'],
    ['farther than the charge allows', { chargePct: 26 }, 'energy'],
    ['farther than it can be read', { farthestM: 90 }, 'sight'],
    ['a reserve under 20 %', { reservePct: 15 }, 'reserve'],
    ['rain', { rain: true }, 'rain'],
  ])('%s is no-go', (_, more, id) => {
    expect(failing(more)).toEqual([id]);
    expect(flightCard({ ...flight, ...more }).go).toBe(false);
  });

  const until = (causeId: CauseId) => ({ weaknesses: [{ causeId }] });
  test.each<[string, Partial<FlightToBe>, string, Partial<FlightToBe>]>([
    [
      'fast while only slow is allowed',
      { ...until('obstacle-overrun'), setting: 'fast' },
      'until-cleared obstacle-overrun',
      { setting: 'slow', windMps: 2, gustMps: 2 },
    ],
    [
      'normal while only slow is allowed',
      { ...until('overcontrol'), setting: 'normal' },
      'until-cleared overcontrol',
      { setting: 'slow', windMps: 2, gustMps: 2 },
    ],
    [
      'a place that is ruled out',
      { ...until('obstacle-thin'), place: 'trees' },
      'until-cleared obstacle-thin',
      { place: 'open' },
    ],
    [
      'without hold where that is ruled out',
      {
        ...until('no-gps-drift'),
        place: 'indoors',
        craft: craftFacts({ ...USUAL_CRAFT, mode: 'self-level' }),
      },
      'until-cleared no-gps-drift',
      { place: 'open' },
    ],
    [
      'near things in the setting that switches the sensors off',
      { place: 'trees', setting: 'fast', craft: craftFacts({ ...USUAL_CRAFT, sensorSides: ['ahead'] }) },
      'sensors',
      { craft: craftFacts({ ...USUAL_CRAFT, sensorSides: ['ahead'], sensorsInFast: true }) },
    ],
  ])('%s is no-go, and goes once that is changed', (_, more, id, mended) => {
    expect(failing(more)).toEqual([id]);
    expect(flightCard({ ...flight, ...more, ...mended }).go).toBe(true);
  });
});
