import fc from 'fast-check';
import { jStat } from 'jstat';
import { drawFrom } from '../clearance/evidence/simulated';
import { chiSquareBeyond } from './chi-square';
import { type Lasting, logRank, survival } from './survival';

/** "+" : it went on when last seen. */
const lasting = (written: string): readonly Lasting[] =>
  written.split(' ').map((each) => ({ lasted: Number.parseFloat(each), ended: !each.endsWith('+') }));

// Remission of acute leukaemia, weeks (Freireich and others, Blood 1963), as printed in many books.
const TREATED = lasting('6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+');
const PLACEBO = lasting('1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23');
// Acute myelogenous leukaemia, as `aml` in R's survival.
const MAINTAINED = lasting('9 13 13+ 18 23 28+ 31 34 45+ 48 161+');
const NOT_MAINTAINED = lasting('5 5 8 8 12 16+ 23 27 30 33 43 45');

describe('how long it lasts', () => {
  // R 4, survival: summary(survfit(Surv(weeks, ended) ~ 1)) of the treated; from memory.
  test('agrees with the classic leukaemia data', () => {
    const { steps, median, medianLow, medianHigh, all, ended } = survival(TREATED);
    expect(steps.map(({ at, atRisk, ended: n }) => [at, atRisk, n])).toEqual([
      [6, 21, 3],
      [7, 17, 1],
      [10, 15, 1],
      [13, 12, 1],
      [16, 11, 1],
      [22, 7, 1],
      [23, 6, 1],
    ]);
    const near = (found: readonly number[], printed: readonly number[], digits: number) =>
      found.forEach((each, i) => expect(each).toBeCloseTo(printed[i]!, digits));
    near(
      steps.map(({ share }) => share),
      [0.857, 0.807, 0.753, 0.69, 0.627, 0.538, 0.448],
      3,
    );
    near(
      steps.map(({ error }) => error),
      [0.0764, 0.0869, 0.0963, 0.1068, 0.1141, 0.1282, 0.1346],
      4,
    );
    near(
      steps.map(({ low }) => low),
      [0.72, 0.653, 0.586, 0.51, 0.439, 0.337, 0.249],
      3,
    );
    near([steps[6]!.high], [0.807], 3);
    expect([median, medianLow, medianHigh, all, ended]).toEqual([23, 16, null, 21, 9]);
    expect(survival(PLACEBO).median).toBe(8);
  });

  test('and with another set of R’s', () => {
    const { steps, median } = survival(MAINTAINED);
    const shares = [0.909, 0.818, 0.716, 0.614, 0.491, 0.368, 0.184];
    steps.forEach(({ share }, i) => expect(share).toBeCloseTo(shares[i]!, 3));
    const errors = [0.0867, 0.1163, 0.1397, 0.1526, 0.1642, 0.1627, 0.1535];
    steps.forEach(({ error }, i) => expect(error).toBeCloseTo(errors[i]!, 4));
    expect([median, survival(NOT_MAINTAINED).median]).toEqual([31, 23]);
  });

  test('without anybody lost from sight it is the share that is left; with nobody there is nothing to say', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 1, maxLength: 60 }), (lasted) => {
        const { steps } = survival(lasted.map((each) => ({ lasted: each, ended: true })));
        for (const { at, share } of steps)
          expect(share).toBeCloseTo(lasted.filter((each) => each > at).length / lasted.length, 10);
      }),
    );
    expect(survival([])).toMatchObject({ steps: [], median: null, all: 0 });
    expect(survival([{ lasted: 5, ended: false }])).toMatchObject({ steps: [], median: null, ended: 0 });
  });
});

describe('whether two last as long', () => {
  // R 4, survival: survdiff(Surv(weeks, ended) ~ group): Chisq = 16.8; of aml 3.4, p = 0.07; from memory.
  test('agrees with both', () => {
    expect(logRank([{ one: TREATED, other: PLACEBO }])!.chiSquare).toBeCloseTo(16.793, 3);
    expect(logRank([{ one: TREATED, other: PLACEBO }])!.p).toBeCloseTo(4.17e-5, 7);
    const aml = logRank([{ one: MAINTAINED, other: NOT_MAINTAINED }])!;
    expect(aml.chiSquare).toBeCloseTo(3.4, 1);
    expect(aml.p).toBeCloseTo(0.0653, 4);
  });

  // Another way: without ties it is the score test of Cox's proportional hazards at no difference (Cox 1972), here
  // from the slope and bend of the partial likelihood, strata multiplied.
  test('within strata agrees with the slope of Cox’s partial likelihood, by differences', () => {
    const chance = drawFrom(17);
    const group = (mean: number): Lasting[] =>
      Array.from({ length: 12 }, () => ({ lasted: -Math.log(1 - chance()) * mean, ended: chance() < 0.8 }));
    for (let nth = 0; nth < 20; nth += 1) {
      const strata = [5, 20, 60].map((mean) => ({ one: group(mean), other: group(mean * 1.4) }));
      const likelihood = (beta: number) =>
        strata.reduce((sum, { one, other }) => {
          const all = [
            ...one.map((each) => ({ ...each, x: 1 })),
            ...other.map((each) => ({ ...each, x: 0 })),
          ];
          return all
            .filter(({ ended }) => ended)
            .reduce(
              (part, { lasted, x }) =>
                part +
                beta * x -
                Math.log(
                  all
                    .filter((each) => each.lasted >= lasted)
                    .reduce((risk, each) => risk + Math.exp(beta * each.x), 0),
                ),
              sum,
            );
        }, 0);
      const h = 1e-3;
      const slope = (likelihood(h) - likelihood(-h)) / (2 * h);
      const bend = -(likelihood(h) - 2 * likelihood(0) + likelihood(-h)) / h ** 2;
      expect(logRank(strata)!.chiSquare / (slope ** 2 / bend)).toBeCloseTo(1, 4);
    }
  });

  test('a group with the slower causes is not called slower, where each cause is held beside itself', () => {
    const chance = drawFrom(23);
    const group = (count: number, mean: number): Lasting[] =>
      Array.from({ length: count }, () => ({ lasted: -Math.log(1 - chance()) * mean, ended: true }));
    const called = Array.from({ length: 300 }, () => {
      const quick = { one: group(30, 10), other: group(6, 10) };
      const slow = { one: group(6, 60), other: group(30, 60) };
      const pooled = [{ one: [...quick.one, ...slow.one], other: [...quick.other, ...slow.other] }];
      return [logRank([quick, slow])!.p < 0.05, logRank(pooled)!.p < 0.05] as const;
    });
    const share = (of: 0 | 1) => called.filter((each) => each[of]).length / called.length;
    expect(share(0)).toBeLessThan(0.09);
    expect(share(1)).toBeGreaterThan(0.9);
  });

  test('turns round with the groups; calls one in twenty different where none is', () => {
    expect(logRank([{ one: PLACEBO, other: TREATED }])!.chiSquare).toBeCloseTo(
      logRank([{ one: TREATED, other: PLACEBO }])!.chiSquare,
      10,
    );
    expect(logRank([{ one: [{ lasted: 3, ended: false }], other: [] }])).toBeNull();
    const chance = drawFrom(5);
    const group = () =>
      Array.from({ length: 30 }, () => {
        const [ends, lost] = [-Math.log(1 - chance()) * 20, chance() * 60];
        return { lasted: Math.ceil(Math.min(ends, lost)), ended: ends <= lost };
      });
    const called = Array.from({ length: 1_000 }, () => logRank([{ one: group(), other: group() }])!.p < 0.05);
    const share = called.filter(Boolean).length / called.length;
    expect(share).toBeGreaterThan(0.03);
    expect(share).toBeLessThan(0.075);
  });

  test('chi-square agrees with a reference library (jStat)', () => {
    for (const value of [0.01, 0.5, 1, 3.841_459, 7.9, 8.1, 16.793])
      expect(jStat.chisquare.inv(1 - chiSquareBeyond(value), 1)).toBeCloseTo(value, 5);
    expect(chiSquareBeyond(3.841_458_8)).toBeCloseTo(0.05, 8);
  });
});
