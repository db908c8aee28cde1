import { nextStep, type NextStep } from '@skelby/core/clearance/next-step';
import type { Day } from '@skelby/core/vocabulary/day';
import type { TodayList } from '@skelby/core/pages/pages';

export type TodayWeakness = TodayList['weaknesses'][number] & { readonly next: NextStep };

export interface TodayInOrder {
  readonly checks: readonly TodayWeakness[];
  readonly toSign: readonly TodayWeakness[];
  readonly drilling: readonly TodayWeakness[];
  readonly waiting: readonly TodayWeakness[];
}

const nextOf = (line: TodayList['weaknesses'][number], today: Day): NextStep =>
  nextStep(
    {
      state: line.state,
      check: line.checkFrom ? { from: line.checkFrom, passed: line.checkPassed, drills: [] } : null,
      watch: line.state === 'watch' && line.checkFrom ? { next: { from: line.checkFrom } } : null,
    },
    today,
  );

/** Open weaknesses by what the trainer does next about them; the longest overdue check first. */
export function inOrder(weaknesses: TodayList['weaknesses'], today: Day): TodayInOrder {
  const all = weaknesses.map((line) => ({ ...line, next: nextOf(line, today) }));
  const byCheck = (a: TodayWeakness, b: TodayWeakness) =>
    (a.checkFrom ?? '').localeCompare(b.checkFrom ?? '');
  return {
    checks: all.filter((line) => line.next.do === 'check').sort(byCheck),
    toSign: all.filter((line) => line.next.do === 'sign'),
    drilling: all.filter((line) => line.next.do === 'drill'),
    // On watch and limited again, the second check is what everybody waits for.
    waiting: all
      .filter(({ next, limited }) => next.do === 'wait' || (limited === true && next.do === 'watch'))
      .sort(byCheck),
  };
}
