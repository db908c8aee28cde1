import fc from 'fast-check';
import { jStat } from 'jstat';
import { clopperPearson, garwood } from './exact-interval';

describe('exact interval for a share', () => {
  test('no crash in 20 flights still allows 16.8 per 100 (Clopper and Pearson 1934: 1 − 0.025^(1/20))', () => {
    const { low, high } = clopperPearson(0, 20);
    expect(low).toBe(0);
    expect(high).toBeCloseTo(1 - 0.025 ** (1 / 20), 12);
    expect(high).toBeCloseTo(0.1684, 4);
  });

  test('44 right of 51 is 86 %, from 74 to 94', () => {
    const { low, high } = clopperPearson(44, 51);
    expect(low).toBeCloseTo(0.74, 2);
    expect(high).toBeCloseTo(0.94, 2);
  });

  test('agrees with the beta quantiles of a reference library (jStat)', () => {
    for (const [events, trials] of [
      [1, 10],
      [3, 40],
      [7, 25],
      [19, 20],
      [50, 400],
    ] as const) {
      const { low, high } = clopperPearson(events, trials);
      expect(low).toBeCloseTo(jStat.beta.inv(0.025, events, trials - events + 1), 6);
      expect(high).toBeCloseTo(jStat.beta.inv(0.975, events + 1, trials - events), 6);
    }
  });

  test('turns round with the share: the interval for the others is its mirror', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 120 }), fc.nat(), (trials, pick) => {
        const events = pick % (trials + 1);
        const one = clopperPearson(events, trials);
        const other = clopperPearson(trials - events, trials);
        expect(one.low).toBeCloseTo(1 - other.high, 9);
      }),
      { numRuns: 40 },
    );
  });

  test.each([
    [3, 0],
    [5, 4],
    [-1, 4],
    [1.5, 4],
  ])('%s of %s is refused', (events, trials) => {
    expect(() => clopperPearson(events, trials)).toThrow(RangeError);
  });
});

describe('exact interval for a count', () => {
  // Printed limits for a Poisson count, two-sided 95 % (Garwood, Biometrika 1936, as in Pearson and Hartley's
  // table 40).
  test.each([
    [0, 0, 3.689],
    [1, 0.0253, 5.572],
    [2, 0.242, 7.225],
    [5, 1.623, 11.668],
    [10, 4.795, 18.39],
    [25, 16.18, 36.9],
  ])('%s counted: from %s to %s', (events, low, high) => {
    const interval = garwood(events);
    expect(Math.abs(interval.low - low)).toBeLessThan(0.006);
    expect(Math.abs(interval.high - high)).toBeLessThan(0.006);
  });

  test('agrees with the chi-square quantiles of a reference library (jStat)', () => {
    for (const events of [1, 4, 12, 60]) {
      expect(garwood(events).low).toBeCloseTo(jStat.chisquare.inv(0.025, 2 * events) / 2, 5);
      expect(garwood(events).high).toBeCloseTo(jStat.chisquare.inv(0.975, 2 * events + 2) / 2, 5);
    }
  });
});
