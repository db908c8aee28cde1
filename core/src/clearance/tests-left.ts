import type { Day } from '../vocabulary/day';
import type { Cell } from './check-round';
import type { Rep } from './facts';
import { type ClearingRule, isFirstEdition, testsADayOf } from './clearing-rule';

/**
 * Test reps of one chart that still count on that day; null where all do, by the first edition. One that was taken
 * back has used its place up.
 */
export function testsLeft(
  rule: ClearingRule,
  reps: readonly Pick<Rep, 'drillId' | 'side' | 'purpose' | 'day'>[],
  cell: Cell,
  day: Day,
): number | null {
  if (isFirstEdition(rule)) return null;
  const used = reps.filter(
    (rep) =>
      rep.purpose === 'test' &&
      rep.drillId === cell.drillId &&
      (cell.side === null || rep.side === cell.side) &&
      rep.day === day,
  );
  return Math.max(0, testsADayOf(rule) - used.length);
}
