import type { ClearingRule } from './clearing-rule';

/**
 * A point the chart can stand on: reps met and missed since the chart was last at 0. Its
 * score follows from these. Counting in integers keeps the score exact: a limit falls
 * on one of these points, and a rounded sum could land on the wrong side of it.
 */
export interface Point {
  readonly met: number;
  readonly missed: number;
}

export const ORIGIN: Point = { met: 0, missed: 0 };

/** Float scores further apart than this cannot be a rounding matter (counts stay below 1e5). */
const SAFELY_APART = 1e-9;

const power = (base: bigint, exponent: number): bigint => {
  let result = BigInt(1);
  for (let i = 0; i < exponent; i += 1) result *= base;
  return result;
};

/** What a chart waits for: that the pilot has learnt it, or that the weakness has come back. */
export type ChartOf = 'learning' | 'relapse';

/**
 * The scores of two mirrored charts, each kept at or above 0. The learning-curve CUSUM (Biau and Porcher,
 * Statistics in
 * Medicine 2010) adds ln((1 − p1) / (1 − p0)) for a rep met and ln(p1 / p0) for one missed; the relapse CUSUM
 * (Page,
 * Biometrika 1954) adds the same with the sign turned.
 */
export class ScoreLattice {
  /** What a rep met adds to the learning curve, and takes from the relapse chart. */
  readonly rise: number;
  /** What a rep missed takes from the learning curve, and adds to the relapse chart. */
  readonly fall: number;

  private readonly p0: number;
  private readonly p1: number;
  private readonly sign: 1 | -1;

  /** @throws RangeError unless 0 < acceptable < unacceptable < 100, both whole per cent */
  constructor(
    rule: Pick<ClearingRule, 'unacceptableMissPercent' | 'acceptableMissPercent'>,
    chart: ChartOf = 'learning',
  ) {
    this.sign = chart === 'learning' ? 1 : -1;
    this.p0 = rule.unacceptableMissPercent;
    this.p1 = rule.acceptableMissPercent;
    const whole = Number.isInteger(this.p0) && Number.isInteger(this.p1);
    if (!whole || this.p1 <= 0 || this.p1 >= this.p0 || this.p0 >= 100) {
      throw new RangeError(
        `Miss rates must be whole per cent with 0 < acceptable < unacceptable < 100, not ${this.p1} and ${this.p0}.`,
      );
    }
    this.rise = Math.log((100 - this.p1) / (100 - this.p0));
    this.fall = Math.log(this.p0 / this.p1);
  }

  /** The score as a number, for drawing; decisions use `compare`. */
  score(point: Point): number {
    // Adding 0 turns −0 into 0.
    return this.sign * (point.met * this.rise - point.missed * this.fall) + 0;
  }

  /** −1, 0 or 1 as the score of `a` is below, equal to or above that of `b`; exact. */
  compare(a: Point, b: Point): -1 | 0 | 1 {
    const met = this.sign * (a.met - b.met);
    const missed = this.sign * (a.missed - b.missed);
    const difference = met * this.rise - missed * this.fall;
    if (Math.abs(difference) > SAFELY_APART) return difference > 0 ? 1 : -1;
    if (met === 0 && missed === 0) return 0;
    return this.compareExactly(met, missed);
  }

  /** Where one more rep takes the chart. */
  step(from: Point, repMet: boolean): Point {
    const next = repMet
      ? { met: from.met + 1, missed: from.missed }
      : { met: from.met, missed: from.missed + 1 };
    return this.compare(next, ORIGIN) > 0 ? next : ORIGIN;
  }

  /** Sign of met × rise − missed × fall, as a comparison of two whole numbers. */
  private compareExactly(met: number, missed: number): -1 | 0 | 1 {
    // e^(met·rise) = ((100−p1)/(100−p0))^met and e^(missed·fall) = (p0/p1)^missed: cross-multiply.
    const sides = { more: BigInt(1), less: BigInt(1) };
    const put = (numerator: number, denominator: number, exponent: number) => {
      const [up, down] = exponent >= 0 ? [numerator, denominator] : [denominator, numerator];
      sides.more *= power(BigInt(up), Math.abs(exponent));
      sides.less *= power(BigInt(down), Math.abs(exponent));
    };
    put(100 - this.p1, 100 - this.p0, met);
    put(this.p0, this.p1, -missed);
    if (sides.more === sides.less) return 0;
    return sides.more > sides.less ? 1 : -1;
  }
}
