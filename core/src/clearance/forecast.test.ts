import { addDays } from '../vocabulary/day';
import { CHECK_MET_NEEDED, CHECK_MISSED_ENDS, DEFAULT_RULE, testsADayOf } from './clearing-rule';
import { EvidenceTest } from './evidence/evidence-test';
import { FEWEST_LATELY, forecastOf, repsAPackOf, wentLately } from './forecast';

/** Beside another way to the same: the exact chart itself, rep by rep, and skills as order statistics of uniform draws. */

/** Mulberry32. */
function uniformFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const FIRST = '2026-03-02';
const A_DAY = testsADayOf(DEFAULT_RULE);
const NEEDED = 100 / DEFAULT_RULE.riskPercent;

const begun = (met: readonly boolean[]): EvidenceTest => {
  const test = new EvidenceTest(DEFAULT_RULE, NEEDED);
  met.forEach((each, i) => test.add(each, addDays(FIRST, Math.floor(i / A_DAY))));
  return test;
};
const standingOf = (test: EvidenceTest) => ({
  charts: [{ drillId: 'half-thumb' as const, side: null, curve: test.curve() }],
  spent: [{ drillId: 'half-thumb' as const, side: null, ...test.spent }],
});

/** Tests and the check that are still flown, by the exact chart; null: not within 200 tests. */
function stillFlown(before: readonly boolean[], missRate: number, uniform: () => number): number | null {
  const test = begun(before);
  const daysBefore = Math.ceil(before.length / A_DAY);
  let reps = 0;
  while (!test.passed) {
    if (reps >= 200) return null;
    test.add(uniform() >= missRate, addDays(FIRST, daysBefore + Math.floor(reps / A_DAY)));
    reps += 1;
  }
  for (;;) {
    let [met, missed] = [0, 0];
    while (met < CHECK_MET_NEEDED && missed < CHECK_MISSED_ENDS) {
      reps += 1;
      if (uniform() < missRate) missed += 1;
      else met += 1;
    }
    if (met === CHECK_MET_NEEDED) return reps;
    reps += 2 * A_DAY;
  }
}

const quantile = (sorted: readonly number[], share: number) =>
  sorted[Math.floor(share * (sorted.length - 1))]!;

test('says what the exact chart says where it is flown on from where it stands, a thousand times', () => {
  for (const [met, missed, before] of [
    [18, 2, []],
    [17, 3, [true, true, false, true, true, true]],
    [9, 1, [true, true, true, true]],
  ] as const) {
    const told = forecastOf(DEFAULT_RULE, standingOf(begun(before)), { met, missed }, null)!;
    const uniform = uniformFrom(5 + met);
    const flown = Array.from({ length: 1_000 }, () => {
      // The (missed + 1)-th of met + missed + 1 uniform draws has the beta posterior under a uniform prior.
      const draws = Array.from({ length: met + missed + 1 }, uniform).sort((a, b) => a - b);
      return stillFlown(before, draws[missed]!, uniform) ?? Infinity;
    }).sort((a, b) => a - b);
    expect([met, Math.abs(told.reps.middle - quantile(flown, 0.5)) <= 3]).toEqual([met, true]);
    expect([met, Math.abs(told.reps.low - quantile(flown, 0.1)) <= 2]).toEqual([met, true]);
    const share = flown.filter((each) => each === Infinity).length / flown.length;
    expect(Math.abs(told.notThrough - share)).toBeLessThan(0.06);
  }
});

test('of made-up pilots whose skill nobody knows, eight in ten come to lie within it', () => {
  const uniform = uniformFrom(31);
  let [within, all] = [0, 0];
  for (let pilot = 0; pilot < 400; pilot += 1) {
    // As the rule's own skills are spread: a uniform prior up to the unacceptable rate.
    const missRate = 0.4 * uniform();
    const lately = Array.from({ length: 20 }, () => uniform() >= missRate);
    const met = lately.filter(Boolean).length;
    const told = forecastOf(DEFAULT_RULE, standingOf(begun([])), { met, missed: 20 - met }, null);
    if (!told) continue;
    const flown = stillFlown([], missRate, uniform) ?? Infinity;
    all += 1;
    if (flown >= told.reps.low && flown <= (told.reps.high ?? Infinity)) within += 1;
  }
  expect(all).toBeGreaterThan(150);
  expect(within / all).toBeGreaterThan(0.72);
  expect(within / all).toBeLessThan(0.95);
});

test('says nothing of a few reps, nor of a pilot who hardly ever meets it; who meets all has the least ahead', () => {
  const fresh = standingOf(begun([]));
  const of = (met: number, missed: number) => forecastOf(DEFAULT_RULE, fresh, { met, missed }, 5);
  expect(of(FEWEST_LATELY - 1, 0)).toBeNull();
  expect(of(0, 20)).toBeNull();
  expect(of(6, 14)).toBeNull();
  const [best, fair] = [of(20, 0)!, of(17, 3)!];
  expect(best.reps.middle).toBeLessThan(fair.reps.middle);
  expect(best.packs!.middle).toBe(Math.ceil(best.reps.middle / 5));
  for (const { low, middle, high } of [best.reps, fair.reps, fair.packs!]) {
    expect(low).toBeLessThanOrEqual(middle);
    expect(high ?? Infinity).toBeGreaterThanOrEqual(middle);
  }
  expect(of(17, 3)).toEqual(fair);
});

test('a chart that passed asks for the check alone', () => {
  const passed = begun(Array.from({ length: 12 }, () => true));
  expect(passed.passed).toBe(true);
  const { reps } = forecastOf(DEFAULT_RULE, standingOf(passed), { met: 20, missed: 0 }, null)!;
  expect([reps.low, reps.middle]).toEqual([CHECK_MET_NEEDED, CHECK_MET_NEEDED]);
});

test('the last twenty at the standard count, what was taken back and easier steps do not', () => {
  const rep = (over: object) => ({
    drillId: 'half-thumb',
    met: true,
    level: 0,
    takenBack: false,
    flownOn: 'craft' as const,
    ...over,
  });
  const reps = [
    ...Array.from({ length: 30 }, () => rep({ met: false })),
    ...Array.from({ length: 19 }, () => rep({})),
    ...[rep({ level: -1 }), rep({ takenBack: true }), rep({ drillId: 'mirror-call' })],
    ...[rep({ flownOn: 'simulator', met: false })],
  ];
  expect(wentLately(reps, ['half-thumb'])).toEqual({ met: 19, missed: 1 });
  expect(wentLately([], ['half-thumb'])).toEqual({ met: 0, missed: 0 });
});

test('a pack lasts as many reps as in the middle of those that were counted', () => {
  const of = (day: string, pack: number, reps: number) => Array.from({ length: reps }, () => ({ day, pack }));
  expect(repsAPackOf([...of('2026-03-02', 1, 4), ...of('2026-03-02', 2, 6), ...of('2026-03-03', 1, 7)])).toBe(
    6,
  );
  expect(repsAPackOf([])).toBeNull();
});
