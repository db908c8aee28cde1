import { addDays, daysBetween, type Day } from '../vocabulary/day';
import type { Cell } from './check-round';
import { CHECK_MISSED_ENDS, type ClearingRule } from './clearing-rule';
import { drawFrom } from './evidence/simulated';
import { WatchRound } from './watch-round';

/** How a watch turns out under a school's own numbers, by simulation of its checks. */
export interface WatchWaits {
  /** Days after the signature by which half, and nine in ten, of those who fell back are limited; null: not in a
   * year. */
  readonly halfLimitedDays: number | null;
  readonly nineInTenLimitedDays: number | null;
  /** Share of sound pilots called back within a year. */
  readonly soundCalledBack: number;
}

const YEAR_DAYS = 365;
const PILOTS = 400;
const SEED = 20_261_130;
const SIGNED: Day = '2026-01-01';

/** One year of checks, each flown on the day it falls due. */
function yearOf(rule: ClearingRule, cells: readonly Cell[], missRate: number, draw: () => number) {
  const watch = new WatchRound(rule, cells, SIGNED, SIGNED);
  let limitedAfter: number | null = null;
  for (let { from, drills } = watch.told().next; ; { from, drills } = watch.told().next) {
    const after = daysBetween(SIGNED, from);
    if (after > YEAR_DAYS) return { limitedAfter, isCalledBack: false };
    for (const { drillId, side = null } of drills)
      for (let missed = 0; missed < CHECK_MISSED_ENDS;) {
        const { next } = watch.told();
        const tally = next.drills.find((each) => each.drillId === drillId && (each.side ?? null) === side);
        if (next.from !== from || !tally || tally.passed) break;
        const met = draw() >= missRate;
        if (watch.attempt({ drillId, side }, met, from).length > 0)
          return { limitedAfter: limitedAfter ?? after, isCalledBack: true };
        if (!met) missed += 1;
      }
    if (watch.limited) limitedAfter ??= after;
    // Whatever was begun and not ended is ended by the day.
    if (watch.told().next.from === from) watch.interrupt(addDays(from, 1));
  }
}

/** The value below which so large a share lies; null where that share never came to it. */
const quantile = (values: readonly (number | null)[], share: number): number | null => {
  const sorted = values.map((value) => value ?? Infinity).sort((a, b) => a - b);
  const at = sorted[Math.ceil(share * sorted.length) - 1]!;
  return at === Infinity ? null : at;
};

/**
 * How long it takes until somebody who fell back to the unacceptable rate is limited, and how many sound pilots are
 * called back. Only the checks are followed; other reps on watch can but shorten the wait.
 * @param cells the charts that are checked
 */
export function watchWaits(rule: ClearingRule, cells: readonly Cell[]): WatchWaits {
  const draw = drawFrom(SEED);
  const years = (percent: number) =>
    Array.from({ length: PILOTS }, () => yearOf(rule, cells, percent / 100, draw));
  const limited = years(rule.unacceptableMissPercent).map(({ limitedAfter }) => limitedAfter);
  const sound = years(rule.acceptableMissPercent);
  return {
    halfLimitedDays: quantile(limited, 0.5),
    nineInTenLimitedDays: quantile(limited, 0.9),
    soundCalledBack: sound.filter(({ isCalledBack }) => isCalledBack).length / PILOTS,
  };
}
