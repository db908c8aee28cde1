import { relapseLimitOf } from './choose-limit';
import type { ClearingRule } from './clearing-rule';
import { ORIGIN, ScoreLattice } from './score-lattice';

export interface RelapseCurve {
  /** Score after each rep, starting with 0 before the first. */
  readonly scores: readonly number[];
  /** The limit as a score. */
  readonly limit: number;
  /** Number of the rep (from 1) at which the limit was reached; null while it has not been. */
  readonly alarmAt: number | null;
}

/**
 * Draws the relapse CUSUM over the reps flown on watch, in the order they were flown. Past its alarm it is
 * not drawn on.
 */
export function relapseCurve(rule: ClearingRule, met: readonly boolean[]): RelapseCurve {
  const lattice = new ScoreLattice(rule, 'relapse');
  const limit = relapseLimitOf(rule);
  const scores = [0];
  let at = ORIGIN;
  for (const [i, repMet] of met.entries()) {
    at = lattice.step(at, repMet);
    scores.push(lattice.score(at));
    if (lattice.compare(at, limit.point) >= 0) return { scores, limit: limit.score, alarmAt: i + 1 };
  }
  return { scores, limit: limit.score, alarmAt: null };
}
