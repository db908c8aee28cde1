import type { Right } from '@skelby/core/people/roles';

/** Pages on which something is entered, or that are one's own, by their addresses; every other one is there to be read. */
const ENTERED: readonly (readonly [RegExp, Right])[] = [
  [/^\/log\//, 'train'],
  [/^\/session$/, 'train'],
  [/^\/weakness\/[^/]+\/(reps|plan)$/, 'train'],
  [/^\/occurrence\/[^/]+\/(debrief|edit)$/, 'train'],
  [/^\/pilots\/[^/]+\/course\/./, 'train'],
  [/^\/pilots\/[^/]+\/edit$/, 'keep-records'],
  [/^\/(flights|craft|sites)\/new$/, 'keep-records'],
  [/^\/drills\/[^/]+\/edit$/, 'set-school'],
  [/^\/school\/rule$/, 'set-school'],
  [/^\/school\/people$/, 'people'],
  [/^\/school\/history$/, 'history'],
  [/^\/(account|practice)$/, 'own'],
];

/** The right that whoever goes there needs. @param address as it stands in the browser, with or without a query */
export function rightOfAddress(address: string): Right {
  const path = address.split(/[?#]/)[0]!;
  return ENTERED.find(([pattern]) => pattern.test(path))?.[1] ?? 'read';
}
