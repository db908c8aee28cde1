import { chanceClearedWithin, expectedReps } from './chart-probability';
import { chooseRelapseLimit, relapseLimitOf } from './choose-limit';
import { DEFAULT_RULE } from './clearing-rule';
import { relapseCurve } from './relapse-curve';
import { ScoreLattice } from './score-lattice';

const relapse = new ScoreLattice(DEFAULT_RULE, 'relapse');

/** A chart whose steps up and down are equal: a walk on the whole numbers that is held at 0. */
const even = { unacceptableMissPercent: 80, acceptableMissPercent: 20 };

describe('mean reps to an alarm', () => {
  test.each([1, 2, 3, 4, 6])('a fair walk held at 0 takes k (k + 1) steps to reach k = %i', (k) => {
    // From j to j + 1 takes D(j) = 2 + D(j − 1) steps on average, D(0) = 2 (Feller, An Introduction to
    // Probability Theory, vol. 1, XIV).
    expect(expectedReps(new ScoreLattice(even, 'relapse'), { met: 0, missed: k }, 0.5)).toBeCloseTo(
      k * (k + 1),
      6,
    );
  });

  test('an uneven walk agrees with the same recursion', () => {
    const miss = 0.3;
    let wait = 0;
    let mean = 0;
    for (let j = 0; j < 5; j += 1) {
      wait = (1 + (1 - miss) * wait) / miss;
      mean += wait;
    }
    expect(expectedReps(new ScoreLattice(even, 'relapse'), { met: 0, missed: 5 }, miss)).toBeCloseTo(mean, 4);
  });

  test('a rep missed counts for the relapse chart what a rep met counts for a learning chart of the mirrored rates', () => {
    // Swap met and missed, and p with 1 − p: the same chart.
    const mirror = new ScoreLattice({ unacceptableMissPercent: 90, acceptableMissPercent: 60 }, 'learning');
    expect(mirror.rise).toBeCloseTo(relapse.fall, 12);
    const here = chanceClearedWithin({ lattice: relapse, limit: { met: 1, missed: 3 }, missRate: 0.1 }, 40);
    const there = chanceClearedWithin({ lattice: mirror, limit: { met: 3, missed: 1 }, missRate: 0.9 }, 40);
    here.forEach((chance, reps) => expect(chance).toBeCloseTo(there[reps]!, 12));
  });
});

describe('the limit of the relapse chart', () => {
  const limit = chooseRelapseLimit(DEFAULT_RULE);

  test('bad luck calls a good pilot back within the planned reps no more often than the risk, and a lower limit would', () => {
    expect(limit.falseAlarm).toBeLessThanOrEqual(0.1);
    const lower: number[] = [];
    for (let met = 0; met <= 30; met += 1)
      for (let missed = 1; met + missed <= 30; missed += 1) {
        const score = relapse.score({ met, missed });
        if (score > 0 && relapse.compare({ met, missed }, limit.point) < 0)
          lower.push(
            chanceClearedWithin({ lattice: relapse, limit: { met, missed }, missRate: 0.1 }, 30)[30]!,
          );
      }
    expect(Math.min(...lower)).toBeGreaterThan(0.1);
  });

  test('a true alarm comes many times sooner than a false one', () => {
    expect(limit.repsToTrueAlarm).toBeLessThan(15);
    expect(limit.repsToFalseAlarm).toBeGreaterThan(15 * limit.repsToTrueAlarm);
  });

  test('agrees with a hundred thousand simulated pilots (fixed seed)', () => {
    let state = 99;
    const random = () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 2 ** 32;
    };
    const mean = (miss: number, pilots: number) => {
      let reps = 0;
      for (let pilot = 0; pilot < pilots; pilot += 1) {
        for (let score = 0; score < limit.score - 1e-9;) {
          score = random() < miss ? score + Math.log(4) : Math.max(0, score - Math.log(1.5));
          reps += 1;
        }
      }
      return reps / pilots;
    };
    expect(mean(0.4, 100_000)).toBeCloseTo(limit.repsToTrueAlarm, 0);
    const relative = mean(0.1, 10_000) / limit.repsToFalseAlarm;
    expect(relative).toBeGreaterThan(0.97);
    expect(relative).toBeLessThan(1.03);
  });

  test('a rule that cannot keep its risk says what to do', () => {
    expect(() => chooseRelapseLimit({ ...DEFAULT_RULE, plannedReps: 1, riskPercent: 5 })).toThrow(
      'rule.too-few-reps',
    );
  });
});

describe('the chart on watch', () => {
  test('three missed in a row call the pilot back; three spread among many met do not', () => {
    // Worked by hand: ln 4 = 1.386 up, ln 1.5 = 0.405 down, limit 3.387.
    expect(relapseCurve(DEFAULT_RULE, [true, false, false, false]).alarmAt).toBe(4);
    const spread = [
      false,
      ...Array.from({ length: 6 }, () => true),
      false,
      ...Array.from({ length: 6 }, () => true),
      false,
      true,
    ];
    expect(relapseCurve(DEFAULT_RULE, spread).alarmAt).toBeNull();
  });

  test('draws each score, starting at 0, and stops at the alarm', () => {
    const { scores, limit } = relapseCurve(DEFAULT_RULE, [
      false,
      true,
      false,
      true,
      false,
      false,
      true,
      true,
    ]);
    [0, 1.386, 0.981, 2.367, 1.962, 3.348, 4.734].forEach((score, i) =>
      expect(scores[i]).toBeCloseTo(score, 3),
    );
    expect(scores).toHaveLength(7);
    expect(limit).toBe(relapseLimitOf(DEFAULT_RULE).score);
  });
});
