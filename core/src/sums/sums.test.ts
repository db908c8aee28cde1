import { answersOf } from '../evidence/evidence';
import { NOTHING } from '../evidence/question';
import { questionOf } from '../evidence/questions';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import type { StoppingDrawing } from './could-it-stop';
import { startOf, sumOf, SUMS, sumsFor, workedFor, workOut } from './sums';

const CRAFT = craftFacts(USUAL_CRAFT);

describe.each(SUMS.map((sum) => [sum.id, sum] as const))('sum %s', (_, sum) => {
  test('works from its starting values, and has an answer', () => {
    const outcome = workOut(sum, startOf(sum, NOTHING, CRAFT), CRAFT);
    expect(outcome).toHaveProperty('worked');
    if (!('worked' in outcome)) return;
    expect(outcome.worked.figures.every((figure) => Number.isFinite(figure.value))).toBe(true);
    expect(outcome.worked.answer.say).toMatch(/^sum\./);
    expect(sum.wants.map(questionOf)).toHaveLength(sum.wants.length);
  });

  test('every input has a start within its limits, and a value outside them is refused by name', () => {
    const start = startOf(sum, NOTHING, CRAFT);
    expect(Object.keys(start).sort()).toEqual(sum.inputs.map((input) => input.id).sort());
    for (const input of sum.inputs) {
      if (input.kind === 'choice') {
        expect(input.options).toContain(start[input.id]);
        continue;
      }
      expect(start[input.id]).toBeGreaterThanOrEqual(input.least);
      expect(start[input.id]).toBeLessThanOrEqual(input.most);
      expect(workOut(sum, { ...start, [input.id]: input.most + 1 }, CRAFT)).toEqual({
        problem: {
          say: 'sum.outside',
          with: expect.objectContaining({ input: `${sum.id}.${input.id}`, most: input.most }),
        },
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
    answer: { say: 'sum.stop-no' },
  });
  expect(answer('stop', { speed_mps: 12, seen_at_m: 90 })).toMatchObject({ tone: 'for' });
  const { drawing } = answer('stop', { speed_mps: 12, seen_at_m: 10 })!;
  const totals = (drawing as StoppingDrawing).settings.map((each) => each.totalM);
  expect(totals).toEqual([...totals].sort((a, b) => a - b));
});

test.each(SUMS.map((sum) => [sum.id, sum] as const))('%s judges nothing that nobody told', (_, sum) => {
  const outcome = workedFor(sum, NOTHING, CRAFT);
  expect('worked' in outcome && outcome.worked).toMatchObject({
    tone: 'open',
    answer: { say: 'sum.guessed' },
  });
  expect(sum.decides.length).toBeGreaterThan(0);
  for (const id of sum.decides) expect(sum.inputs.map((input) => input.id)).toContain(id);
});

test('told what decides, it judges', () => {
  const known = answersOf({ speed_mps: 12, seen_at_m: 10 });
  const outcome = workedFor(sumOf('stop')!, known, CRAFT);
  expect('worked' in outcome && outcome.worked.tone).toBe('against');
});

test('a turn of 180° in a second is never praised, at any speed but a walk', () => {
  for (let speed = 3; speed <= 40; speed += 1)
    expect(answer('fold', { speed_mps: speed, yaw_deg: 180, yaw_s: 1 })!.tone).toBe('against');
  expect(answer('fold', { speed_mps: 4, yaw_deg: 90, yaw_s: 6 })!.tone).toBe('for');
});

test('no descent past its own limit is praised, whatever little way was on', () => {
  for (let descent = 0; descent <= 12; descent += 0.25)
    for (let forward = 0; forward <= 4; forward += 0.5) {
      const { tone, figures } = answer('wash', { descent_mps: descent, forward_mps: forward })!;
      const limit = figures.find(({ id }) => id === 'limit-straight-down')!.value;
      if (tone === 'for' && descent > limit) throw new Error(`${descent} m/s down, ${forward} m/s on`);
    }
});

test('wind that nobody placed is against the way home', () => {
  const start = startOf(sumOf('home')!, answersOf({ battery_pct: 40, distance_m: 500, wind_mps: 6 }), CRAFT);
  expect(start['from_deg']).toBe(180);
  const said = startOf(sumOf('home')!, answersOf({ battery_pct: 40, wind_side: 'head' }), CRAFT);
  expect(said['from_deg']).toBe(0);
});

test('the fastest that stops does not depend on how fast it was flown', () => {
  const fastest = (speed: number) =>
    answer('stop', { speed_mps: speed, seen_at_m: 20 })!.figures.find(
      ({ id }) => id === 'fastest-that-stops-in-time',
    )!.value;
  expect(fastest(4)).toBeCloseTo(fastest(12), 2);
});

test('straight down at the induced velocity is in the wash; with way on it is not', () => {
  expect(answer('wash', { descent_mps: 5, forward_mps: 0 })!.tone).toBe('against');
  expect(answer('wash', { descent_mps: 5, forward_mps: 9 })!.tone).toBe('for');
});

test('out with the wind and back against it: no way home is said, not divided by nought', () => {
  expect(answer('home', { wind_mps: 20, from_deg: 180 })!.answer.say).toBe('sum.home-no-way');
  expect(answer('home', { battery_pct: 3, distance_m: 2000 })!.answer.with).toMatchObject({
    answer: { say: 'sum.home-no' },
  });
});

test('a return set under the crane, and one that should not return at all', () => {
  expect(answer('return', { return_height_m: 20, tallest_m: 34 })!.answer.with).toMatchObject({
    answer: { say: 'sum.return-no', with: { belowM: 14, wantedM: 44 } },
  });
  expect(
    answer('return', { return_height_m: 60, tallest_m: 20, place: 'under-structure' })!.answer.with,
  ).toMatchObject({ action: 'hover', why: 'under-structure' });
});

test('only sums that have something to say about the occurrence are shown', () => {
  const shown = (evidence: Parameters<typeof answersOf>[0]) =>
    sumsFor(answersOf(evidence)).map((sum) => sum.id);
  expect(shown({ phase: 'landing', nose: 'toward' })).toEqual([]);
  expect(shown({ speed_mps: 8, auto_return: 'none' })).toEqual(['stop']);
  expect(shown({ yaw_burst: 'none', height_trend: 'falling' })).toEqual(['lean']);
  expect(shown({ position_hold: 'dropped', gap_ratio: 3 })).toEqual(['drift', 'gap']);
});
