import type { CaseContext, Deck, DrillCase } from './case';
import { GO_OR_NOT_DECK } from './go-or-not';
import { LOST_LINK_DECK } from './lost-link';
import {
  CALIBRATION_DECK,
  LANDING_DECK,
  PLANTED_DECK,
  READ_BACK_DECK,
  SETTING_ORDER_DECK,
} from './on-the-ground';

/** Drills whose every attempt is one case drawn by lot. */
const DECKS: ReadonlyMap<string, Deck> = new Map([
  ['lost-link-choice', LOST_LINK_DECK],
  ['go-no-go', GO_OR_NOT_DECK],
  ['preflight-aloud', PLANTED_DECK],
  ['prelanding-aloud', LANDING_DECK],
  ['calibrate-here', CALIBRATION_DECK],
  ['mode-readback', READ_BACK_DECK],
  ['setting-readback', SETTING_ORDER_DECK],
]);

/** The deck of a drill; empty where it has none. */
export const deckFor = (drillId: string): Deck => DECKS.get(drillId) ?? [];

/** Every case of a drill, worked out for a craft. */
export const casesOf = (drillId: string, context: CaseContext): readonly DrillCase[] =>
  deckFor(drillId).map(({ id, of }) => ({ id, ...of(context) }));

export const isCaseOf = (drillId: string, caseId: string): boolean =>
  deckFor(drillId).some(({ id }) => id === caseId);

/** So many of the last cases are not drawn again. */
const NOT_AGAIN = 12;

/**
 * One case by lot, none of the last dozen.
 * @param used ids of the cases met before, the newest first
 * @param chance 0 to under 1
 * @returns null where the drill has no cases
 */
export function drawCase<T extends { readonly id: string }>(
  cases: readonly T[],
  used: readonly string[],
  chance: number,
): T | null {
  const lately = new Set(used.slice(0, NOT_AGAIN));
  const fresh = cases.filter(({ id }) => !lately.has(id));
  return fresh[Math.floor(chance * fresh.length)] ?? cases[0] ?? null;
}
