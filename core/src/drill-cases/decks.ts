import type { CaseContext, Deck, DrillCase } from './case';
import { goOrNotDeck } from './go-or-not';
import { lostLinkDeck } from './lost-link';
import { calibrationDeck, landingDeck, plantedDeck, readBackDeck, settingOrderDeck } from './on-the-ground';

/** Drills whose every attempt is one case drawn by lot. */
const DECKS: Readonly<Record<string, Deck>> = {
  'lost-link-choice': lostLinkDeck,
  'go-no-go': goOrNotDeck,
  'preflight-aloud': plantedDeck,
  'prelanding-aloud': landingDeck,
  'calibrate-here': calibrationDeck,
  'mode-readback': readBackDeck,
  'setting-readback': settingOrderDeck,
};

export const hasCases = (drillId: string): boolean => Object.hasOwn(DECKS, drillId);

/** The cases of a drill; none where it has none. */
export const casesOf = (drillId: string, context: CaseContext): readonly DrillCase[] =>
  hasCases(drillId) ? DECKS[drillId]!(context) : [];

/** Which cases there are does not depend on the craft. */
export const ANY_CRAFT: CaseContext = {
  craft: { hasPositionHold: true, sensorSides: ['below'] },
  windLimitMps: 6.7,
};

export const isCaseOf = (drillId: string, caseId: string): boolean =>
  casesOf(drillId, ANY_CRAFT).some(({ id }) => id === caseId);

/** So many of the last cases are not drawn again. */
const NOT_AGAIN = 12;

/**
 * One case by lot, none of the last dozen.
 * @param used ids of the cases met before, the newest first
 * @param chance 0 to under 1
 * @returns null where the drill has no cases
 */
export function drawCase(
  cases: readonly DrillCase[],
  used: readonly string[],
  chance: number,
): DrillCase | null {
  const lately = new Set(used.slice(0, NOT_AGAIN));
  const fresh = cases.filter(({ id }) => !lately.has(id));
  return fresh[Math.floor(chance * fresh.length)] ?? cases[0] ?? null;
}
