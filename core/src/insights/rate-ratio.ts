import { binomialAtMost, clopperPearson, type Interval } from '../rates/exact-interval';
import type { Counted } from './event-rate';

export interface RateRatio {
  /** How many times the rate of the second the rate of the first is; null: none of the second, or nothing flown. */
  readonly ratio: number | null;
  /** Of the ratio, two-sided 95 %, exact; `high` is infinite where the second saw none. */
  readonly interval: Interval;
  /** Chance of as much difference or more where there is none. */
  readonly p: number;
  /** Whether the two can be told apart, by the interval. */
  readonly differs: boolean;
}

/**
 * Two rates beside each other: given how many events there were in all, those of the first are binomial (Przyborowski and
 * Wilenski, Biometrika 1940).
 * @returns null where nothing was flown on one side, or nothing happened on either
 */
export function rateRatio(first: Counted, second: Counted): RateRatio | null {
  const all = first.events + second.events;
  if (!(first.exposure > 0) || !(second.exposure > 0) || all === 0) return null;
  const times = second.exposure / first.exposure;
  const toRatio = (share: number) => (share >= 1 ? Infinity : (share / (1 - share)) * times);
  const { low, high } = clopperPearson(first.events, all);
  const interval = { low: toRatio(low), high: toRatio(high) };
  const share = first.exposure / (first.exposure + second.exposure);
  const below = binomialAtMost(first.events, all, share);
  const above = 1 - binomialAtMost(first.events - 1, all, share);
  return {
    ratio: second.events > 0 ? (first.events / second.events) * times : null,
    interval,
    p: Math.min(1, 2 * Math.min(below, above)),
    differs: interval.low > 1 || interval.high < 1,
  };
}
