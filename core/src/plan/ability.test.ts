import { LEVELS, type Level } from '../vocabulary/training';
import type { Rep } from '../clearance/facts';
import {
  abilityIn,
  abilityPath,
  AIM_HIGH,
  AIM_LOW,
  afterRep,
  chanceMet,
  difficultyOf,
  levelFor,
  raschChance,
  REPS_THAT_TELL,
} from './ability';
import fc from 'fast-check';
import { addDays } from '../vocabulary/day';

type AbilityRep = Parameters<typeof abilityIn>[1][number];
const rep = (n: number, met: boolean, more: Partial<Rep> = {}): AbilityRep => ({
  id: String(n),
  drillId: 'tail-in-hover',
  met,
  day: '2026-03-02',
  flownAt: `2026-03-02T09:${String(n).padStart(2, '0')}:00.000Z`,
  takenBack: false,
  ...more,
});
const many = (met: number, missed: number, more: Partial<Rep> = {}) => [
  ...Array.from({ length: met }, (_, i) => rep(i, true, more)),
  ...Array.from({ length: missed }, (_, i) => rep(met + i, false, more)),
];

describe('the Rasch model', () => {
  // Worked values of 1 / (1 + exp(−(θ − b))), as in any table of the logistic function: 0 → 0.5, 1 → 0.7311,
  // 2 → 0.8808, −1 → 0.2689.
  test.each([
    [0, 0, 0.5],
    [1, 0, 0.7311],
    [2, 0, 0.8808],
    [0, 1, 0.2689],
    [1.5, 0.5, 0.7311],
  ])('ability %s against difficulty %s: %s', (ability, difficulty, chance) => {
    expect(raschChance(ability, difficulty)).toBeCloseTo(chance, 4);
  });

  test("is Elo's expected score on another scale: 200 points ahead is 0.76, 400 is 0.909", () => {
    // Elo: 1 / (1 + 10^(−d / 400)); a logit is 400 / ln 10 points (Elo, The Rating of Chessplayers, Past and
    // Present, 1978).
    const logits = (points: number) => (points * Math.LN10) / 400;
    expect(raschChance(logits(200), 0)).toBeCloseTo(0.7597, 4);
    expect(raschChance(logits(400), 0)).toBeCloseTo(0.9091, 4);
  });
});

describe('what reps say of a pilot', () => {
  test('a rep met lifts the ability, a miss lowers it, a surprise more than what was expected; each makes it surer', () => {
    const before = { mean: 1, sd: 1 };
    const met = afterRep(before, 0, true);
    const missed = afterRep(before, 0, false);
    expect(met.mean).toBeGreaterThan(1);
    expect(missed.mean).toBeLessThan(1);
    expect(1 - missed.mean).toBeGreaterThan(met.mean - 1);
    expect(met.sd).toBeLessThan(1);
    // By hand: chance 0.7311, information 0.1966, variance 1 / (1 + 0.1966) = 0.8357; a miss moves by 0.8357
    // × 0.7311 = 0.611.
    expect(missed.mean).toBeCloseTo(1 - 0.611, 3);
    expect(met.sd ** 2).toBeCloseTo(0.8357, 4);
  });

  test('after many reps it settles where the share met says, whatever it was before', () => {
    const shuffled = Array.from({ length: 400 }, (_, i) =>
      rep(i % 60, i % 4 !== 0, {
        flownAt: `2026-03-02T${String(8 + Math.floor(i / 60)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')}:00.000Z`,
      }),
    );
    const ability = abilityIn('hover', shuffled, '2026-03-02');
    expect(raschChance(ability.mean, difficultyOf('tail-in-hover'))).toBeCloseTo(0.75, 1);
    expect(ability.sd).toBeLessThan(0.2);
  });

  test('reps of other groups and those taken back say nothing; days without flying make it less sure, never surer than a beginner is unsure', () => {
    const start = abilityIn('hover', [], '2026-03-02');
    expect(abilityIn('hover', many(10, 0, { drillId: 'mirror-call' }), '2026-03-02')).toEqual(start);
    expect(abilityIn('hover', many(10, 0, { takenBack: true }), '2026-03-02')).toEqual(start);
    const soon = abilityIn('hover', many(20, 5), '2026-03-02');
    const later = abilityIn('hover', many(20, 5), '2026-06-02');
    expect(later.mean).toBe(soon.mean);
    expect(later.sd).toBeGreaterThan(soon.sd);
    expect(abilityIn('hover', many(20, 5), '2036-03-02').sd).toBeLessThanOrEqual(start.sd);
  });
});

test('practice is set where the pilot should succeed about 70 to 85 times in a hundred, easier for the weak and harder for the strong', () => {
  const weak: Level = levelFor({ mean: -0.8, sd: 0.4 }, 'tail-in-hover');
  const strong: Level = levelFor({ mean: 3, sd: 0.4 }, 'tail-in-hover');
  expect(weak).toBe(-2);
  expect(strong).toBe(1);
  const middling = { mean: 0.8, sd: 0.5 };
  const chance = chanceMet(middling, 'tail-in-hover', levelFor(middling, 'tail-in-hover'));
  expect(chance).toBeGreaterThan(AIM_LOW - 0.12);
  expect(chance).toBeLessThan(AIM_HIGH + 0.05);
  for (const level of LEVELS)
    expect(chanceMet(middling, 'tail-in-hover', level)).toBeLessThanOrEqual(
      chanceMet(middling, 'tail-in-hover', -2),
    );
});

test('the last reps of each drill tell as much as all of them', () => {
  const DRILLS = ['tail-in-hover', 'half-thumb', 'clock-hover'] as const;
  const STEP = fc.record({
    days: fc.constantFrom(0, 0, 0, 0, 0, 0, 1, 1, 7, 60),
    drill: fc.nat(2),
    met: fc.integer({ min: 0, max: 9 }),
  });
  fc.assert(
    fc.property(fc.array(STEP, { minLength: 300, maxLength: 900 }), fc.nat(9), (steps, skill) => {
      let day = '2020-01-01';
      const flown = steps.map(({ days, drill, met }, i) => {
        day = addDays(day, days);
        const flownAt = `${day}T09:00:00.${String(i % 1000).padStart(3, '0')}Z`;
        return rep(i, met <= skill, { day, flownAt, drillId: DRILLS[drill]! });
      });
      const last = DRILLS.flatMap((drillId) =>
        flown.filter((each) => each.drillId === drillId).slice(-REPS_THAT_TELL),
      );
      const group = 'hover';
      const [all, few] = [abilityIn(group, flown, day), abilityIn(group, last, day)];
      for (const drillId of DRILLS)
        expect(Math.abs(chanceMet(all, drillId) - chanceMet(few, drillId))).toBeLessThan(0.03);
    }),
    { numRuns: 100 },
  );
});

describe('how a skill grew', () => {
  const DAY = '2026-03-02';
  const RASCH_AT = (mean: number) => raschChance(mean, difficultyOf('tail-in-hover'));

  test('it ends, for any reps, where the ability stands that plans are made by', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ met: fc.boolean(), days: fc.integer({ min: 0, max: 20 }) }), { maxLength: 40 }),
        fc.integer({ min: 20, max: 400 }),
        (flown, until) => {
          const reps = flown.map(({ met, days }, n) => {
            const day = addDays(DAY, days);
            return rep(n % 60, met, {
              id: `${n}`,
              day,
              flownAt: `${day}T09:00:${String(n % 60).padStart(2, '0')}.000Z`,
            });
          });
          const today = addDays(DAY, until);
          const path = abilityPath('tail-in-hover', reps, today);
          expect(path).toHaveLength(reps.length === 0 ? 0 : reps.length + 1);
          if (reps.length === 0) return;
          const { mean, sd } = abilityIn('hover', reps, today);
          const now = path.at(-1)!;
          expect(now.chance).toBeCloseTo(chanceMet({ mean, sd }, 'tail-in-hover'), 10);
          // The ends by the normal distribution's table: 1.645 standard deviations hold nine of ten.
          expect(now.low).toBeCloseTo(RASCH_AT(mean - 1.645 * sd), 10);
          expect(now.high).toBeCloseTo(RASCH_AT(mean + 1.645 * sd), 10);
          for (const { low, chance, high } of path)
            expect([low <= chance, chance <= high]).toEqual([true, true]);
        },
      ),
    );
  });

  test('reps that are met lead up, and days without flying make it less sure', () => {
    const reps = many(12, 0);
    const soon = abilityPath('tail-in-hover', reps, DAY);
    expect(soon.at(-1)!.chance).toBeGreaterThan(soon[0]!.chance);
    const later = abilityPath('tail-in-hover', reps, '2026-08-02');
    const wide = ({ low, high }: (typeof soon)[number]) => high - low;
    expect(wide(later.at(-1)!)).toBeGreaterThan(wide(soon.at(-1)!));
    expect(abilityPath('tail-in-hover', many(9, 0, { takenBack: true }), DAY)).toEqual([]);
  });
});
