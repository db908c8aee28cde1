import type { TestCurve } from './chart-test';
import { limitOf } from './choose-limit';
import type { ClearingRule } from './clearing-rule';
import { ORIGIN, type Point, ScoreLattice } from './score-lattice';

export interface LearningCurve extends TestCurve {
  readonly at: Point;
}

/**
 * Draws the learning-curve CUSUM over test reps in the order they were flown. Once the limit is
 * reached the test is passed and stays so: later reps do not take it back, the check does.
 */
export function learningCurve(rule: ClearingRule, met: readonly boolean[]): LearningCurve {
  const lattice = new ScoreLattice(rule);
  const limit = limitOf(rule);
  const scores = [0];
  let at = ORIGIN;
  let reachedAt: number | null = null;
  for (const [i, repMet] of met.entries()) {
    at = lattice.step(at, repMet);
    scores.push(lattice.score(at));
    if (reachedAt === null && lattice.compare(at, limit.point) >= 0) reachedAt = i + 1;
  }
  const share = reachedAt === null ? Math.min(1, lattice.score(at) / limit.score) : 1;
  return {
    scale: 'score',
    scores,
    at,
    limit: limit.score,
    reachedAt,
    reps: met.length,
    share,
    way: limit.score,
    since: [],
    toGo: reachedAt === null ? cleanRepsToGo(rule, at) : 0,
  };
}

/** Test reps, all met, that would take the chart from where it stands to its limit. */
function cleanRepsToGo(rule: ClearingRule, from: Point): number {
  const lattice = new ScoreLattice(rule);
  const { point } = limitOf(rule);
  let at = from;
  let reps = 0;
  while (lattice.compare(at, point) < 0) {
    at = lattice.step(at, true);
    reps += 1;
  }
  return reps;
}
