import { type Clearance, clearanceOf } from '../clearance/clearance';
import type { Flies } from '../clearance/facts';
import { inLists } from '../clearance/in-lists';
import type { WeaknessPage } from '../pages/pages';
import { factsOf } from './facts-of';

export const factsOfPage = (page: WeaknessPage) =>
  factsOf({
    causeId: page.weakness.causeId,
    pilot: page.pilot,
    stamps: page.stamps ?? [],
    rule: page.rule,
    moves: page.moves,
    reps: page.reps,
    plans: page.plans,
    sets: page.testSets ?? [],
    failedAt: page.weakness.failedAt ?? [],
  });

/** What the pilot flies with, as it is stamped. */
export const fliesAsJudged = (page: Pick<WeaknessPage, 'stamps' | 'pilot'>): Flies =>
  page.stamps?.at(-1) ?? page.pilot;

/** By the facts on the page, going on from where it stood before the first of them. */
export const clearanceOfPage = (page: WeaknessPage): Clearance => clearanceOf(factsOfPage(page), page.since);

/** The page with what lists need to know of it worked out again. */
export function workedOut(page: WeaknessPage): WeaknessPage {
  const clearance = clearanceOfPage(page);
  return {
    ...page,
    weakness: { ...page.weakness, ...inLists(clearance), signedEarly: clearance.signedEarly },
  };
}

/** The reps with which checks have failed, as they are judged by the pilot as now: kept before the pilot changes. */
export const failuresToKeep = (page: WeaknessPage): readonly string[] => [
  ...new Set([...(page.weakness.failedAt ?? []), ...clearanceOfPage(page).failedAt]),
];
