import fc from 'fast-check';
import { DEFAULT_RULE } from './clearing-rule';
import { ORIGIN, ScoreLattice } from './score-lattice';

const lattice = new ScoreLattice(DEFAULT_RULE);

describe('scores of the learning-curve CUSUM', () => {
  // Biau and Porcher (Statistics in Medicine 2010): ln((1 − p1)/(1 − p0)) and ln(p1/p0), here with p0 = 0.4
  // and p1 = 0.1.
  test('a rep met adds ln 1.5 and a rep missed takes ln 4', () => {
    expect(lattice.rise).toBeCloseTo(0.405465108, 9);
    expect(lattice.fall).toBeCloseTo(1.386294361, 9);
  });

  test('the chart never falls below 0, and starts again from there', () => {
    const afterThree = [true, true, true].reduce((at, met) => lattice.step(at, met), ORIGIN);
    expect(lattice.step(afterThree, false)).toEqual(ORIGIN); // 3 × 0.405 − 1.386 < 0
    const afterFour = lattice.step(afterThree, true);
    expect(lattice.step(afterFour, false)).toEqual({ met: 4, missed: 1 }); // 4 × 0.405 − 1.386 > 0
  });

  test('points of equal score compare as equal even where floating point would not', () => {
    // p0 = 50 %, p1 = 25 %: a miss takes ln 2, a met rep adds ln 1.5; p0 = 80, p1 = 20: both are ln 4.
    const even = new ScoreLattice({ unacceptableMissPercent: 80, acceptableMissPercent: 20 });
    expect(even.compare({ met: 7, missed: 6 }, { met: 1, missed: 0 })).toBe(0);
    expect(even.step({ met: 1, missed: 0 }, false)).toEqual(ORIGIN);
  });

  test('comparison agrees with whole-number arithmetic done another way', () => {
    // 1.5^met against 4^missed, as 3^met against 2^met × 4^missed.
    const whole = (base: bigint, times: number) =>
      Array.from({ length: times }).reduce<bigint>((product) => product * base, BigInt(1));
    fc.assert(
      fc.property(fc.nat(60), fc.nat(30), (met, missed) => {
        const left = whole(BigInt(3), met);
        const right = whole(BigInt(2), met) * whole(BigInt(4), missed);
        expect(lattice.compare({ met, missed }, ORIGIN)).toBe(left === right ? 0 : left > right ? 1 : -1);
      }),
    );
  });

  test.each([
    [40, 40],
    [10, 40],
    [100, 10],
    [40, 0],
    [40.5, 10],
  ])('rates of %s and %s per cent are refused', (unacceptableMissPercent, acceptableMissPercent) => {
    expect(() => new ScoreLattice({ unacceptableMissPercent, acceptableMissPercent })).toThrow(
      /whole per cent/,
    );
  });
});
