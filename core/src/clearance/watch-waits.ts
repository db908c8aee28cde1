import { addDays, daysBetween, type Day } from '../vocabulary/day';
import type { Cell } from './check-round';
import { CHECK_MISSED_ENDS, type ClearingRule } from './clearing-rule';
import { drawFrom } from './evidence/simulated';
import { WatchRound } from './watch-round';

/** How a watch turns out under a school's own numbers, by simulation of its checks. */
export interface WatchWaits {
  /**
   * Days after falling back, which may happen on any day of the first year, by which half, and nine in ten, are
   * limited; null: not in a year.
   */
  readonly halfLimitedDays: number | null;
  readonly nineInTenLimitedDays: number | null;
  /** Share of sound pilots called back within a year. */
  readonly soundCalledBack: number;
}

const YEAR_DAYS = 365;
const PILOTS = 400;
const SEED = 20_261_130;
const SIGNED: Day = '2026-01-01';

/** A pilot on watch: sound until one day, at the unacceptable rate from then on. */
interface Course {
  readonly rule: ClearingRule;
  readonly cells: readonly Cell[];
  /** Days after the signature; Infinity: sound to the end. */
  readonly fellBackAfter: number;
  readonly days: number;
}

/** Flies one drill of a check until it is passed or the check ends. @returns whether the pilot is called back by it */
function flyChecked(
  watch: WatchRound,
  { drillId, side = null }: Pick<Cell, 'drillId'> & Partial<Cell>,
  from: Day,
  meets: () => boolean,
): boolean {
  for (let missed = 0; missed < CHECK_MISSED_ENDS;) {
    const { next } = watch.told();
    const tally = next.drills.find((each) => each.drillId === drillId && (each.side ?? null) === side);
    if (next.from !== from || !tally || tally.passed) return false;
    const met = meets();
    if (watch.attempt({ drillId, side }, met, from).length > 0) return true;
    if (!met) missed += 1;
  }
  return false;
}

/**
 * The checks of one course, each flown on the day it falls due.
 * @returns days after the signature of the first limit that was not lifted before the pilot fell back
 */
function followed({ rule, cells, fellBackAfter, days }: Course, draw: () => number) {
  const watch = new WatchRound(rule, cells, SIGNED, SIGNED);
  let limitedAfter: number | null = null;
  for (let { from, drills } = watch.told().next; ; { from, drills } = watch.told().next) {
    const after = daysBetween(SIGNED, from);
    if (after > days) return { limitedAfter, isCalledBack: false };
    const percentMissed = after < fellBackAfter ? rule.acceptableMissPercent : rule.unacceptableMissPercent;
    const meets = () => draw() >= percentMissed / 100;
    if (drills.some((drill) => flyChecked(watch, drill, from, meets)))
      return { limitedAfter: limitedAfter ?? after, isCalledBack: true };
    if (watch.limited) limitedAfter ??= after;
    else if (after < fellBackAfter) limitedAfter = null;
    // Whatever was begun and not ended is ended by the day.
    if (watch.told().next.from === from) watch.interrupt(addDays(from, 1));
  }
}

/** Days from falling back, on a day drawn evenly from the first year, to the limit; null: not within a year. */
function waitOf(rule: ClearingRule, cells: readonly Cell[], draw: () => number): number | null {
  const fellBackAfter = Math.floor(draw() * YEAR_DAYS);
  const { limitedAfter } = followed({ rule, cells, fellBackAfter, days: fellBackAfter + YEAR_DAYS }, draw);
  // Whoever was limited by bad luck when it happened, and stays so, waits not at all.
  return limitedAfter === null ? null : Math.max(0, limitedAfter - fellBackAfter);
}

/** The value below which so large a share lies; null where that share never came to it. */
const quantile = (values: readonly (number | null)[], share: number): number | null => {
  const sorted = values.map((value) => value ?? Infinity).sort((a, b) => a - b);
  const at = sorted[Math.ceil(share * sorted.length) - 1]!;
  return at === Infinity ? null : at;
};

/**
 * How long it takes until somebody who fell back to the unacceptable rate is limited, and how many sound pilots are
 * called back in a year. Only the checks are followed; other reps on watch can but shorten the wait.
 * @param cells the charts that are checked
 */
export function watchWaits(rule: ClearingRule, cells: readonly Cell[]): WatchWaits {
  const draw = drawFrom(SEED);
  const waits = Array.from({ length: PILOTS }, () => waitOf(rule, cells, draw));
  const sound = { rule, cells, fellBackAfter: Infinity, days: YEAR_DAYS };
  const calledBack = Array.from({ length: PILOTS }, () => followed(sound, draw).isCalledBack);
  return {
    halfLimitedDays: quantile(waits, 0.5),
    nineInTenLimitedDays: quantile(waits, 0.9),
    soundCalledBack: calledBack.filter(Boolean).length / PILOTS,
  };
}
