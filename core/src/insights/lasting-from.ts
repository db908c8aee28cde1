import { liveMoves } from '../clearance/standing';
import type { WeaknessWent } from '../pages/insights';
import { daysBetween } from '../vocabulary/day';
import type { Lasting } from './survival';

export const OPENINGS = ['opened', 'reopened'];
export const SIGNATURES = ['signed', 'signed-early'];

/** What lasted: each time from a move of one kind to the next of another, or to the day of the report. */
export function lastingFrom(
  weaknesses: readonly WeaknessWent[],
  to: string,
  begins: readonly string[],
  ends: readonly string[],
): readonly Lasting[] {
  return weaknesses.flatMap(({ moves }) => {
    const found: Lasting[] = [];
    let from: string | null = null;
    for (const { kind, at } of liveMoves(moves)) {
      if (from !== null && ends.includes(kind)) {
        found.push({ lasted: Math.max(0, daysBetween(from, at.slice(0, 10))), ended: true });
        from = null;
      }
      if (from === null && begins.includes(kind)) from = at.slice(0, 10);
    }
    return from === null ? found : [...found, { lasted: Math.max(0, daysBetween(from, to)), ended: false }];
  });
}
