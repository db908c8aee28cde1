import { chanceClearedWithin, expectedReps } from './chart-probability';
import { chooseLimit } from './choose-limit';
import { DEFAULT_RULE } from './clearing-rule';
import { learningCurve } from './learning-curve';
import { type Point, ScoreLattice } from './score-lattice';

const lattice = new ScoreLattice(DEFAULT_RULE);

/**
 * The same probability by going through every sequence of met and missed reps one by one, with
 * plain floating-point sums and no shared code: the separate way that the exact chain is held to.
 */
function bruteForce(limitScore: number, reps: number, missRate: number): number {
  const [rise, fall] = [Math.log(0.9 / 0.6), Math.log(0.4 / 0.1)];
  let cleared = 0;
  for (let sequence = 0; sequence < 2 ** reps; sequence += 1) {
    let score = 0;
    let probability = 1;
    let reached = false;
    for (let rep = 0; rep < reps; rep += 1) {
      const missed = ((sequence >> rep) & 1) === 1;
      probability *= missed ? missRate : 1 - missRate;
      score = Math.max(0, score + (missed ? -fall : rise));
      if (score >= limitScore - 1e-9) reached = true;
    }
    if (reached) cleared += probability;
  }
  return cleared;
}

describe('the exact chance of reaching the limit', () => {
  test.each([
    [{ met: 3, missed: 0 }, 0.4],
    [{ met: 6, missed: 1 }, 0.4],
    [{ met: 5, missed: 0 }, 0.1],
    [{ met: 9, missed: 1 }, 0.25],
  ] as const)(
    'for a limit of %j at a miss rate of %s equals the sum over every sequence, for each number of reps up to 14',
    (limit, missRate) => {
      const chances = chanceClearedWithin({ lattice, limit, missRate }, 14);
      for (let reps = 0; reps <= 14; reps += 1)
        expect(chances[reps]).toBeCloseTo(bruteForce(lattice.score(limit), reps, missRate), 12);
    },
  );

  test('a pilot who never misses is through after exactly as many reps as the limit takes', () => {
    const chances = chanceClearedWithin({ lattice, limit: { met: 9, missed: 0 }, missRate: 0 }, 10);
    expect(chances[8]).toBe(0);
    expect(chances[9]).toBe(1);
    expect(expectedReps(lattice, { met: 9, missed: 0 }, 0)).toBe(9);
  });

  test('the mean wait for five met in a row by a pilot who misses half is 62, as for heads of a coin', () => {
    // A fall so large that one miss always brings the chart to 0 makes it a run of successes, whose mean
    // wait is (1 − q^r) / ((1 − q) q^r) (Feller, An Introduction to Probability Theory, vol. 1, XIII.7).
    const steep = new ScoreLattice({ unacceptableMissPercent: 60, acceptableMissPercent: 1 });
    expect(expectedReps(steep, { met: 5, missed: 0 }, 0.5)).toBeCloseTo(62, 6);
  });

  test('a pilot who always misses never gets there, and the mean says so', () => {
    expect(chanceClearedWithin({ lattice, limit: { met: 3, missed: 0 }, missRate: 1 }, 50)[50]).toBe(0);
    expect(() => expectedReps(lattice, { met: 3, missed: 0 }, 1)).toThrow(/never/);
  });

  test('reps that hang together make luck likelier, and no correlation changes nothing', () => {
    const limit = chooseLimit(DEFAULT_RULE).point;
    const chance = (withinPack: number) =>
      chanceClearedWithin(
        { lattice, limit, missRate: 0.4, correlation: { withinPack, repsPerPack: 6 } },
        30,
      )[30]!;
    expect(chance(0)).toBeCloseTo(chanceClearedWithin({ lattice, limit, missRate: 0.4 }, 30)[30]!, 12);
    expect(chance(0.1)).toBeGreaterThan(chance(0));
    expect(chance(0.3)).toBeGreaterThan(chance(0.1));
  });

  test('two reps of one pack both miss as often as a beta-binomial says', () => {
    // P(both met) = (1 − p)(1 − p + ρ p) for a pair with mean p and correlation ρ.
    const both = chanceClearedWithin(
      {
        lattice,
        limit: { met: 2, missed: 0 },
        missRate: 0.4,
        correlation: {
          withinPack: 0.2,
          repsPerPack: 2,
        },
      },
      2,
    )[2];
    expect(both).toBeCloseTo(0.6 * (0.6 + 0.2 * 0.4), 12);
  });

  test('a rate outside 0 to 1 is refused', () => {
    expect(() => chanceClearedWithin({ lattice, limit: { met: 3, missed: 0 }, missRate: 1.2 }, 5)).toThrow(
      /between 0 and 1/,
    );
  });
});

describe('choosing the limit from the risk', () => {
  const limit = chooseLimit(DEFAULT_RULE);

  test('luck clears a pilot at the unacceptable rate no more often than the risk, and the next lower limit would', () => {
    expect(limit.falseClear).toBeLessThanOrEqual(0.1);
    // Nine met in a row score just below the limit, and ten above: nothing reachable in 30 reps lies between
    // nine and the limit.
    expect(lattice.compare(limit.point, { met: 9, missed: 0 })).toBe(1);
    expect(lattice.compare(limit.point, { met: 10, missed: 0 })).toBe(-1);
    expect(
      chanceClearedWithin({ lattice, limit: { met: 9, missed: 0 }, missRate: 0.4 }, 30)[30],
    ).toBeGreaterThan(0.1);
  });

  test('no reachable score between the limit and the next lower one keeps the risk', () => {
    const lower: Point[] = [];
    for (let met = 1; met <= 30; met += 1)
      for (let missed = 0; met + missed <= 30; missed += 1) {
        if (lattice.compare({ met, missed }, limit.point) < 0 && lattice.score({ met, missed }) > 0)
          lower.push({ met, missed });
      }
    lower.sort((a, b) => lattice.compare(b, a));
    expect(chanceClearedWithin({ lattice, limit: lower[0]!, missRate: 0.4 }, 30)[30]).toBeGreaterThan(0.1);
  });

  test('agrees with a simulation of two hundred thousand pilots (a second, independent way; fixed seed)', () => {
    let state = 12345;
    const random = () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 2 ** 32;
    };
    const trials = 200_000;
    let through = 0;
    for (let pilot = 0; pilot < trials; pilot += 1) {
      let score = 0;
      for (let rep = 0; rep < 30; rep += 1) {
        score = random() < 0.4 ? Math.max(0, score - Math.log(4)) : score + Math.log(1.5);
        if (score >= limit.score - 1e-9) {
          through += 1;
          break;
        }
      }
    }
    const standardError = Math.sqrt((limit.falseClear * (1 - limit.falseClear)) / trials);
    expect(Math.abs(through / trials - limit.falseClear)).toBeLessThan(4 * standardError);
  });

  test('a smaller risk asks for a higher limit, and an impossible one says what to do', () => {
    const strict = chooseLimit({ ...DEFAULT_RULE, riskPercent: 2 });
    expect(lattice.compare(strict.point, limit.point)).toBe(1);
    expect(strict.goodExpectedReps).toBeGreaterThan(limit.goodExpectedReps);
    expect(() => chooseLimit({ ...DEFAULT_RULE, plannedReps: 2, riskPercent: 1 })).toThrow(
      'rule.too-few-reps',
    );
  });
});

describe('hand-worked paths of the chart', () => {
  // Worked by hand with +0.405 and −1.386.
  test('met ×4, missed, met ×2', () => {
    const { scores } = learningCurve(DEFAULT_RULE, [true, true, true, true, false, true, true]);
    [0, 0.405, 0.811, 1.216, 1.622, 0.236, 0.641, 1.046].forEach((score, i) =>
      expect(scores[i]).toBeCloseTo(score, 3),
    );
  });

  test('missed first costs nothing but the rep', () => {
    expect(
      learningCurve(DEFAULT_RULE, [false, false, true]).scores.map((score) => Number(score.toFixed(3))),
    ).toEqual([0, 0, 0, 0.405]);
  });

  test('ten met in a row pass the test at the tenth; a later miss does not take it back', () => {
    const ten = Array.from({ length: 10 }, () => true);
    expect(learningCurve(DEFAULT_RULE, ten.slice(1)).reachedAt).toBeNull();
    expect(learningCurve(DEFAULT_RULE, ten).reachedAt).toBe(10);
    expect(learningCurve(DEFAULT_RULE, [...ten, false, false]).reachedAt).toBe(10);
  });

  test('sixteen met with two missed in between land exactly on the limit and pass', () => {
    const met = [
      ...Array.from({ length: 8 }, () => true),
      false,
      ...Array.from({ length: 4 }, () => true),
      false,
      ...Array.from({ length: 4 }, () => true),
    ];
    const curve = learningCurve(DEFAULT_RULE, met);
    expect(curve.at).toEqual({ met: 16, missed: 2 });
    expect(curve.reachedAt).toBe(18);
  });
});
