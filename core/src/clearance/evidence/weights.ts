import { type ClearingRule, testOf } from '../clearing-rule';
import { type Fraction, fraction } from './fraction';

/** What a rep does to the evidence: met or missed, the so-manieth of its kind on this day, from 1. */
export type Weight = (met: boolean, nth: number) => Fraction;

/**
 * Every rep alike: met (1 − p1) / (1 − p0), missed p1 / p0 (Wald 1945).
 */
const alike = ({ unacceptableMissPercent: p0, acceptableMissPercent: p1 }: ClearingRule): Weight => {
  const [up, down] = [fraction(100 - p1, 100 - p0), fraction(p1, p0)];
  return (met) => (met ? up : down);
};

/**
 * Strict: the ratio of two urns (Pólya 1930), in which a rep makes its like likelier for the rest of the day. The j-th met
 * weighs (22 + 5j) / (13 + 5j), the k-th missed (5k − 2) / (5k + 7), for miss rates of 40 and 10 % and correlations up to
 * 1/7 within a day.
 */
const strict: Weight = (met, nth) =>
  met ? fraction(22 + 5 * nth, 13 + 5 * nth) : fraction(5 * nth - 2, 5 * nth + 7);

export const weightOf = (rule: ClearingRule): Weight => (testOf(rule) === 'strict' ? strict : alike(rule));
