import type { Interval } from '../rates/exact-interval';

/** How far people who judged the same cases apart from each other say the same, beyond what chance would make of it. */

export interface Agreement {
  /** Cases that at least two have judged. */
  readonly cases: number;
  /** Share of pairs who said the same, 0 to 1. */
  readonly same: number;
  /** 1: always the same; 0: as often as chance. */
  readonly value: number;
  readonly standardError: number;
  /** Two-sided 95 % by Student's t; null: too few cases for one. */
  readonly interval: Interval | null;
}

/** With fewer an interval says less than the figure pretends. */
export const LEAST_CASES = 6;

const Z = 1.959963984540054;
/** Quantile 0.975 of Student's t (Abramowitz and Stegun 26.7.5), good to a thousandth from five degrees on. */
export function studentQuantile(degrees: number): number {
  const [z3, z5, z7, z9] = [3, 5, 7, 9].map((power) => Z ** power) as [number, number, number, number];
  return (
    Z +
    (z3 + Z) / (4 * degrees) +
    (5 * z5 + 16 * z3 + 3 * Z) / (96 * degrees ** 2) +
    (3 * z7 + 19 * z5 + 17 * z3 - 15 * Z) / (384 * degrees ** 3) +
    (79 * z9 + 776 * z7 + 1482 * z5 - 1920 * z3 - 945 * Z) / (92_160 * degrees ** 4)
  );
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/** @param each how much every case puts to the figure */
function withError(
  value: number,
  each: readonly number[],
  more: Pick<Agreement, 'cases' | 'same'>,
): Agreement {
  const n = each.length;
  const standardError = n > 1 ? Math.sqrt(sum(each.map((part) => (part - value) ** 2)) / (n * (n - 1))) : NaN;
  const half = studentQuantile(n - 1) * standardError;
  const interval =
    more.cases < LEAST_CASES ? null : { low: Math.max(-1, value - half), high: Math.min(1, value + half) };
  return { ...more, value, standardError, interval };
}

/** How many said what of one case, by category. */
export type SaidOfCase = Readonly<Record<string, number>>;

/**
 * Gwet's AC1 for any number of people, of whom some may have left cases out.
 * K. L. Gwet, Computing inter-rater reliability and its variance in the presence of high agreement, British Journal of
 * Mathematical and Statistical Psychology 61 (2008); with cases left out as in his Handbook of Inter-Rater Reliability (2014).
 * @param categories how many could have been said, more than one
 * @returns null: no case that two have judged
 */
export function gwetAc1(cases: readonly SaidOfCase[], categories: number): Agreement | null {
  const judged = cases.filter((said) => sum(Object.values(said)) > 0);
  const n = judged.length;
  const raters = judged.map((said) => sum(Object.values(said)));
  const twice = raters.filter((r) => r >= 2).length;
  if (twice === 0) return null;
  /** Of each case the share of pairs who said the same; 0 where there is no pair. */
  const same = judged.map((said, i) => {
    const r = raters[i]!;
    return r < 2 ? 0 : sum(Object.values(said).map((count) => count * (count - 1))) / (r * (r - 1));
  });
  const observed = sum(same) / twice;
  const prevalence = new Map<string, number>();
  for (const [i, said] of judged.entries())
    for (const [category, count] of Object.entries(said))
      prevalence.set(category, (prevalence.get(category) ?? 0) + count / raters[i]! / n);
  const byChance = sum([...prevalence.values()].map((p) => p * (1 - p))) / (categories - 1);
  const value = (observed - byChance) / (1 - byChance);
  const each = judged.map((said, i) => {
    const r = raters[i]!;
    const own = ((n / twice) * (same[i]! - (r >= 2 ? byChance : 0))) / (1 - byChance);
    const chanceHere =
      sum(Object.entries(said).map(([category, count]) => count * (1 - prevalence.get(category)!))) /
      (r * (categories - 1));
    return own - (2 * (1 - value) * (chanceHere - byChance)) / (1 - byChance);
  });
  return withError(value, each, { cases: twice, same: observed });
}

/**
 * Cohen's kappa of two people over the same cases, its error by Gwet's linearisation (as above).
 * J. Cohen, A coefficient of agreement for nominal scales, Educational and Psychological Measurement 20 (1960).
 * @returns null: nothing judged, or chance alone would make them agree always
 */
export function cohenKappa(pairs: readonly (readonly [one: string, other: string])[]): Agreement | null {
  const n = pairs.length;
  const share = (which: 0 | 1) => {
    const shares = new Map<string, number>();
    for (const pair of pairs) shares.set(pair[which], (shares.get(pair[which]) ?? 0) + 1 / n);
    return shares;
  };
  const [ones, others] = [share(0), share(1)];
  const observed = pairs.filter(([one, other]) => one === other).length / n;
  const byChance = sum([...ones].map(([category, p]) => p * (others.get(category) ?? 0)));
  if (n === 0 || byChance >= 1) return null;
  const value = (observed - byChance) / (1 - byChance);
  const each = pairs.map(([one, other]) => {
    const own = ((one === other ? 1 : 0) - byChance) / (1 - byChance);
    const chanceHere = ((others.get(one) ?? 0) + (ones.get(other) ?? 0)) / 2;
    return own - (2 * (1 - value) * (chanceHere - byChance)) / (1 - byChance);
  });
  return withError(value, each, { cases: n, same: observed });
}
