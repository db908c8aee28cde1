import type { ClearingRule } from '../clearing-rule';
import { testOf, testsADayOf } from '../clearing-rule';
import { toNumber } from './fraction';
import { weightOf } from './weights';

/**
 * The evidence of made-up pilots in plain numbers: quick enough to draw what a rule costs before it is chosen. The
 * tests hold it to the exact chart; it decides nothing.
 */

/** A made-up pilot: how often a rep is missed, and how reps of one day hang together. */
export interface MadeUpPilot {
  /** 0 to 1. */
  readonly missRate: number;
  /** Correlation between two reps of one day, 0 to below 1. */
  readonly withinDay: number;
}

export type Draw = () => number;

/** Lehmer's generator (Park and Miller 1988), so that the same rule is always drawn the same. */
export function drawFrom(seed: number): Draw {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

const LEAST_DAYS = 2;

/** What the n-th met and the n-th missed of a day weigh, in plain numbers, n from 1. */
function weights(rule: ClearingRule, aDay: number) {
  const weight = weightOf(rule);
  const of = (met: boolean) =>
    Array.from({ length: aDay + 1 }, (_, nth) => (nth === 0 ? NaN : toNumber(weight(met, nth))));
  return { met: of(true), missed: of(false) };
}

/** An urn: the mean stays, and a miss makes the next of that day likelier. */
const chanceOfMiss = ({ missRate, withinDay }: MadeUpPilot, flown: number, missed: number): number => {
  if (withinDay === 0) return missRate;
  const weight = (1 - withinDay) / withinDay;
  return (missRate * weight + missed) / (weight + flown);
};

interface ToPass {
  /** Evidence at which it passes, and the most reps that are flown. */
  readonly needed: number;
  readonly most: number;
  /** Where it stands, and the days that were spent on it; absent: at nothing. */
  readonly from?: { readonly evidence: number; readonly days: number };
}

/** Test reps until a chart passes, the first of them on a new day; null when it has not within so many. */
export function repsToPass(
  rule: ClearingRule,
  { needed, most, from = { evidence: 0, days: 0 } }: ToPass,
  pilot: MadeUpPilot,
  chance: Draw,
): number | null {
  const aDay = testsADayOf(rule);
  const weigh = weights(rule, aDay);
  const byDay = testOf(rule) === 'strict';
  let [evidence, missed] = [from.evidence, 0];
  for (let rep = 0; rep < most; rep += 1) {
    const ofDay = rep % aDay;
    const day = from.days + Math.floor(rep / aDay) + 1;
    if (ofDay === 0) [evidence, missed] = [evidence + 1 / (day * (day + 1)), 0];
    const isMissed = chance() < chanceOfMiss(pilot, ofDay, missed);
    missed += isMissed ? 1 : 0;
    evidence *= isMissed ? weigh.missed[missed]! : weigh.met[ofDay + 1 - missed]!;
    const isJudged = day >= LEAST_DAYS && (!byDay || ofDay === aDay - 1);
    if (isJudged && evidence >= needed - 1e-9) return rep + 1;
  }
  return null;
}
