import { type Clearance, clearanceOf } from '../clearance/clearance';
import { inLists } from '../clearance/in-lists';
import type { WeaknessPage } from '../pages/pages';
import { factsOf } from './facts-of';

export const factsOfPage = (page: WeaknessPage) =>
  factsOf({
    causeId: page.weakness.causeId,
    pilot: page.pilot,
    rule: page.rule,
    moves: page.moves,
    reps: page.reps,
    drillIds: page.plans[0]?.drillIds ?? [],
    failedAt: page.weakness.failedAt ?? [],
  });

export const clearanceOfPage = (page: WeaknessPage): Clearance => clearanceOf(factsOfPage(page));

/** The page with what lists need to know of it worked out again. */
export function workedOut(page: WeaknessPage): WeaknessPage {
  const clearance = clearanceOfPage(page);
  const failedAt = [...new Set([...(page.weakness.failedAt ?? []), ...clearance.failedAt])];
  return {
    ...page,
    weakness: { ...page.weakness, ...inLists(clearance), signedEarly: clearance.signedEarly, failedAt },
  };
}
