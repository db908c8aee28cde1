import { OutOfLimits, sentence } from '../vocabulary/said';
import { chanceClearedWithin, expectedReps } from './chart-probability';
import type { ClearingRule } from './clearing-rule';
import { ORIGIN, type Point, ScoreLattice } from './score-lattice';

export interface DecisionLimit {
  readonly point: Point;
  /** The limit as a score, for drawing. */
  readonly score: number;
  /** Exact chance that a pilot at the unacceptable rate is cleared by luck within the planned reps. */
  readonly falseClear: number;
  /** Chance that a pilot at the acceptable rate is through within the planned reps. */
  readonly goodThrough: number;
  /** Mean test reps of a pilot at the acceptable rate. */
  readonly goodExpectedReps: number;
}

/** Every score the chart can reach within so many reps, one point for each, lowest first. */
function reachable(lattice: ScoreLattice, reps: number): Point[] {
  const points: Point[] = [];
  for (let met = 0; met <= reps; met += 1) {
    for (let missed = 0; met + missed <= reps; missed += 1) {
      const point = { met, missed };
      if (lattice.compare(point, ORIGIN) > 0) points.push(point);
    }
  }
  points.sort((a, b) => lattice.compare(a, b) || a.met - b.met);
  return points.filter((point, i) => i === 0 || lattice.compare(points[i - 1]!, point) !== 0);
}

/**
 * The smallest limit that a pilot at `missRate` reaches within the planned reps no more often than the risk
 * allows; null when none is that high.
 */
function smallestLimit(
  lattice: ScoreLattice,
  rule: ClearingRule,
  missRate: number,
): { readonly point: Point; readonly chance: number } | null {
  const chance = (point: Point) =>
    chanceClearedWithin({ lattice, limit: point, missRate }, rule.plannedReps)[rule.plannedReps]!;
  const risk = rule.riskPercent / 100;
  const points = reachable(lattice, rule.plannedReps);
  const highest = points.at(-1);
  if (!highest || chance(highest) > risk) return null;
  // The chance never rises with the limit, so halve the range.
  let [low, high] = [0, points.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (chance(points[middle]!) <= risk) high = middle;
    else low = middle + 1;
  }
  return { point: points[low]!, chance: chance(points[low]!) };
}

/**
 * The smallest limit at which luck clears a pilot at the unacceptable rate within the planned
 * reps no more often than the risk allows.
 * @throws RangeError when the planned reps are too few for that risk even if all must be met
 */
export function chooseLimit(rule: ClearingRule): DecisionLimit {
  const lattice = new ScoreLattice(rule);
  const p0 = rule.unacceptableMissPercent / 100;
  const p1 = rule.acceptableMissPercent / 100;
  const smallest = smallestLimit(lattice, rule, p0);
  if (!smallest)
    throw new OutOfLimits(sentence('rule.too-few-reps', { reps: rule.plannedReps, risk: rule.riskPercent }));
  const { point, chance } = smallest;
  return {
    point,
    score: lattice.score(point),
    falseClear: chance,
    goodThrough: chanceClearedWithin({ lattice, limit: point, missRate: p1 }, rule.plannedReps)[
      rule.plannedReps
    ]!,
    goodExpectedReps: expectedReps(lattice, point, p1),
  };
}

export interface RelapseLimit {
  readonly point: Point;
  /** The limit as a score, for drawing. */
  readonly score: number;
  /** Exact chance that a pilot who is still competent is called back by bad luck within the planned reps. */
  readonly falseAlarm: number;
  /** Mean reps to a false alarm: a pilot at the acceptable rate. */
  readonly repsToFalseAlarm: number;
  /** Mean reps to a true one: a pilot who is back at the unacceptable rate. */
  readonly repsToTrueAlarm: number;
}

/**
 * The smallest limit at which bad luck calls a competent pilot back within the planned reps no more often
 * than the risk allows: the
 * mirror of `chooseLimit`.
 * @throws RangeError when the planned reps are too few for that risk
 */
export function chooseRelapseLimit(rule: ClearingRule): RelapseLimit {
  const lattice = new ScoreLattice(rule, 'relapse');
  const p1 = rule.acceptableMissPercent / 100;
  const smallest = smallestLimit(lattice, rule, p1);
  if (!smallest)
    throw new OutOfLimits(sentence('rule.too-few-reps', { reps: rule.plannedReps, risk: rule.riskPercent }));
  const { point, chance } = smallest;
  return {
    point,
    score: lattice.score(point),
    falseAlarm: chance,
    repsToFalseAlarm: expectedReps(lattice, point, p1),
    repsToTrueAlarm: expectedReps(lattice, point, rule.unacceptableMissPercent / 100),
  };
}

/** Remembers what was worked out for a rule: a school has few rules and many charts. */
function remembered<T>(choose: (rule: ClearingRule) => T): (rule: ClearingRule) => T {
  const chosen = new Map<string, T>();
  return (rule) => {
    const key = [
      rule.unacceptableMissPercent,
      rule.acceptableMissPercent,
      rule.riskPercent,
      rule.plannedReps,
    ].join('/');
    const there = chosen.get(key) ?? choose(rule);
    chosen.set(key, there);
    return there;
  };
}

export const limitOf = remembered(chooseLimit);
export const relapseLimitOf = remembered(chooseRelapseLimit);
