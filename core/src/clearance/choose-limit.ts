import { chanceClearedWithin, expectedReps } from './chart-probability';
import type { ClearingRule } from './clearing-rule';
import { type Point, ScoreLattice } from './score-lattice';

export interface Limit {
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
  for (let met = 1; met <= reps; met += 1) {
    for (let missed = 0; met + missed <= reps; missed += 1) {
      const point = { met, missed };
      if (lattice.compare(point, { met: 0, missed: 0 }) > 0) points.push(point);
    }
  }
  points.sort((a, b) => lattice.compare(a, b) || a.met - b.met);
  return points.filter((point, i) => i === 0 || lattice.compare(points[i - 1]!, point) !== 0);
}

/**
 * The smallest limit at which luck clears a pilot at the unacceptable rate within the planned
 * reps no more often than the risk allows.
 * @throws RangeError when the planned reps are too few for that risk even if all must be met
 */
export function chooseLimit(rule: ClearingRule): Limit {
  const lattice = new ScoreLattice(rule);
  const p0 = rule.unacceptableMissPercent / 100;
  const p1 = rule.acceptableMissPercent / 100;
  const risk = rule.riskPercent / 100;
  const falseClear = (point: Point) => chanceClearedWithin(lattice, point, rule.plannedReps, p0)[rule.plannedReps]!;

  const points = reachable(lattice, rule.plannedReps);
  const highest = points.at(-1);
  if (!highest || falseClear(highest) > risk) {
    throw new RangeError(`${rule.plannedReps} planned reps are too few for a risk of ${rule.riskPercent} %: plan more reps or accept more risk.`);
  }
  // The chance never rises with the limit, so halve the range.
  let [low, high] = [0, points.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (falseClear(points[middle]!) <= risk) high = middle;
    else low = middle + 1;
  }
  const point = points[low]!;
  return {
    point,
    score: lattice.score(point),
    falseClear: falseClear(point),
    goodThrough: chanceClearedWithin(lattice, point, rule.plannedReps, p1)[rule.plannedReps]!,
    goodExpectedReps: expectedReps(lattice, point, p1),
  };
}

const chosen = new Map<string, Limit>();

/** `chooseLimit`, remembered: a school has few rules and many charts. */
export function limitOf(rule: ClearingRule): Limit {
  const key = [rule.unacceptableMissPercent, rule.acceptableMissPercent, rule.riskPercent, rule.plannedReps].join('/');
  let limit = chosen.get(key);
  if (!limit) { limit = chooseLimit(rule); chosen.set(key, limit); }
  return limit;
}
