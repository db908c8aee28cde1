import fc from 'fast-check';
import { jStat } from 'jstat';
import { drawFrom } from '../clearance/evidence/simulated';
import { garwood } from '../rates/exact-interval';
import { type Counted, eventRate } from './event-rate';
import { funnel } from './funnel';
import { averageRun, poissonCusum } from './poisson-cusum';
import { rateRatio } from './rate-ratio';
import { shrunkenRates } from './shrunken';
import { uChart } from './u-chart';

const counted = (events: number, exposure: number): Counted => ({ events, exposure });
/** A count with a mean. */
const countFrom = (chance: () => number) => (mean: number) => {
  let [k, product] = [0, chance()];
  for (; product > Math.exp(-mean); k += 1) product *= chance();
  return k;
};

describe('a rate', () => {
  test('has its exact interval; where nothing was flown there is none', () => {
    expect(eventRate(counted(0, 50))).toMatchObject({ rate: 0, interval: { low: 0 } });
    expect(eventRate(counted(0, 50)).interval!.high).toBeCloseTo(3.689 / 50, 4);
    expect(eventRate(counted(3, 0))).toMatchObject({ rate: null, interval: null });
  });

  test('of thousands is as exact and as quick', () => {
    const { low, high } = garwood(2_000);
    expect(low).toBeCloseTo(jStat.chisquare.inv(0.025, 4_000) / 2, 2);
    expect(high).toBeCloseTo(jStat.chisquare.inv(0.975, 4_002) / 2, 2);
  });
});

describe('period after period', () => {
  // Montgomery, Introduction to Statistical Quality Control: 193 nonconformities in 20 samples of 5; from memory.
  test('limits as in the handbook', () => {
    const { centre, points } = uChart(Array.from({ length: 20 }, (_, i) => counted(i < 13 ? 10 : 9, 5)));
    expect(centre).toBeCloseTo(1.93, 2);
    expect(points[0]!.high).toBeCloseTo(3.79, 2);
    expect(points[0]!.low).toBeCloseTo(0.07, 2);
    expect(points.some(({ isOut }) => isOut)).toBe(false);
  });

  test('limits follow what was flown; a month without flying says nothing', () => {
    const { points } = uChart([counted(4, 100), counted(1, 25), counted(0, 0), counted(9, 25)]);
    expect(points[1]!.high).toBeGreaterThan(points[0]!.high);
    expect(points[2]).toMatchObject({ rate: null, isOut: false });
    expect(points[3]!.isOut).toBe(true);
  });
});

describe('is it getting worse', () => {
  test('the run until an alarm is what a simulation gives', () => {
    const count = countFrom(drawFrom(3));
    for (const [mean, reference, limit] of [
      [1, 1.44, 3],
      [2, 1.44, 3],
      [0.5, 0.72, 2.25],
    ] as const) {
      const runs = Array.from({ length: 4_000 }, () => {
        let [sum, n] = [0, 0];
        while (sum < limit) [sum, n] = [Math.max(0, sum + count(mean) - reference), n + 1];
        return n;
      });
      const average = runs.reduce((a, b) => a + b, 0) / runs.length;
      expect(averageRun(mean, reference, limit) / average).toBeGreaterThan(0.93);
      expect(averageRun(mean, reference, limit) / average).toBeLessThan(1.07);
    }
  });

  test('alarms no more often than it says, finds a doubled rate, and says how long both take', () => {
    const count = countFrom(drawFrom(9));
    const learnt = [counted(24, 480)];
    const asked = { times: 2, falseAlarmEvery: 60 };
    const runs = (rate: number, months: number) =>
      Array.from({ length: 300 }, () =>
        poissonCusum(
          learnt,
          Array.from({ length: months }, () => counted(count(rate * 40), 40)),
          asked,
        ),
      );
    const same = runs(0.05, 12);
    expect(same[0]!.falseAlarmEvery).toBeGreaterThanOrEqual(60);
    expect(same[0]!.foundWithin).toBeLessThan(same[0]!.falseAlarmEvery / 4);
    const share = (all: typeof same) => all.filter((each) => each!.alarmAt !== null).length / all.length;
    expect(share(same)).toBeLessThan(0.25);
    expect(share(runs(0.1, 12))).toBeGreaterThan(0.6);
    expect(poissonCusum([counted(0, 100)], [counted(1, 40)], asked)).toBeNull();
    expect(poissonCusum(learnt, [counted(0, 0)], asked)).toBeNull();
  });
});

describe('groups beside each other', () => {
  test('limits are the quantiles of the Poisson distribution (R: qpois(c(.001, .025, .975, .999), 10) is 2 4 17 21)', () => {
    const [one] = funnel([counted(10, 100), counted(90, 900)]);
    expect(one).toMatchObject({ expected: 10, within95: [4, 17], within998: [2, 21], is: 'like-the-others' });
  });

  test('small numbers are not called bad; groups that are alike seldom are; one three times worse is', () => {
    expect(funnel([counted(1, 3), counted(20, 600)])[0]!.is).toBe('like-the-others');
    const count = countFrom(drawFrom(4));
    const alike = Array.from({ length: 200 }, () =>
      funnel(Array.from({ length: 8 }, (_, i) => counted(count(0.04 * (i + 1) * 60), (i + 1) * 60))),
    ).flat();
    expect(alike.filter(({ is }) => is !== 'like-the-others').length / alike.length).toBeLessThan(0.006);
    const worse = Array.from({ length: 200 }, () =>
      funnel([counted(count(24), 200), counted(count(48), 1_200), counted(count(24), 600)]),
    );
    expect(worse.filter(([first]) => first!.is === 'more').length).toBeGreaterThan(120);
  });
});

describe('before and after', () => {
  // R: poisson.test(c(11, 6 + 8 + 7), c(800, 1083 + 1050 + 878)), in its own help page; from memory.
  test('ratio and interval as R gives them', () => {
    const { ratio, interval } = rateRatio(counted(11, 800), counted(21, 3_011))!;
    expect(ratio).toBeCloseTo(1.971_488, 6);
    expect(interval.low).toBeCloseTo(0.858_426_4, 6);
    expect(interval.high).toBeCloseTo(4.277_265_9, 5);
  });

  test('cannot be told apart where there is little; turns round with the sides', () => {
    expect(rateRatio(counted(1, 20), counted(0, 20))).toMatchObject({ ratio: null, differs: false });
    expect(rateRatio(counted(0, 20), counted(0, 20))).toBeNull();
    expect(rateRatio(counted(1, 0), counted(3, 20))).toBeNull();
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 1, max: 500 }),
        (a, b, m, n) => {
          const [one, other] = [
            rateRatio(counted(a, m), counted(b, n))!,
            rateRatio(counted(b, n), counted(a, m))!,
          ];
          expect(one.ratio! * other.ratio!).toBeCloseTo(1, 9);
          expect(one.interval.low * other.interval.high).toBeCloseTo(1, 5);
          expect(one.p).toBeCloseTo(other.p, 8);
        },
      ),
      { numRuns: 50 },
    );
  });

  test('shrunken rates lie between one’s own and that of all, and are nearer the truth', () => {
    const chance = drawFrom(8);
    const count = countFrom(chance);
    let [raw, drawn] = [0, 0];
    for (let round = 0; round < 60; round += 1) {
      const truth = Array.from({ length: 20 }, () => 0.02 + 0.06 * chance());
      const each = truth.map((rate) => {
        const exposure = 5 + Math.floor(60 * chance());
        return counted(count(rate * exposure), exposure);
      });
      const all =
        each.reduce((sum, { events }) => sum + events, 0) /
        each.reduce((sum, { exposure }) => sum + exposure, 0);
      shrunkenRates(each).forEach((rate, i) => {
        const own = each[i]!.events / each[i]!.exposure;
        expect(rate).toBeGreaterThanOrEqual(Math.min(own, all) - 1e-12);
        expect(rate).toBeLessThanOrEqual(Math.max(own, all) + 1e-12);
        raw += (own - truth[i]!) ** 2;
        drawn += (rate - truth[i]!) ** 2;
      });
    }
    expect(drawn).toBeLessThan(0.6 * raw);
    expect(shrunkenRates([counted(0, 0)])).toEqual([0]);
  });
});
