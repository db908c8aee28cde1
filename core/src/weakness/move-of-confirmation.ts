import { type ClearingRule, isFirstEdition } from '../clearance/clearing-rule';
import type { MoveKind } from '../clearance/facts';
import type { WeaknessState } from '../clearance/rungs';

/** States in which one more occurrence of the cause begins the test anew: what was shown has not lasted. */
const BEGINS_ANEW: readonly WeaknessState[] = ['ready-for-check', 'watch', 'closed'];

/**
 * What the confirmation of a cause does to the pilot's weakness from it.
 * @param state where the weakness stands; null when there is none yet
 */
export function moveOfConfirmation(
  state: WeaknessState | null,
): Extract<MoveKind, 'opened' | 'reopened' | 'occurrence-added'> {
  if (state === null || state === 'withdrawn') return 'opened';
  return BEGINS_ANEW.includes(state) ? 'reopened' : 'occurrence-added';
}

/**
 * Whether a confirmation begins a new opening, with the rule in force and a stamp of its own. By the second edition
 * only what comes after a signed clearance does: whatever else opens a weakness goes on with what was spent.
 */
export const opensAnew = (
  rule: ClearingRule,
  { state, signedEarly }: { readonly state: WeaknessState; readonly signedEarly: boolean },
): boolean =>
  isFirstEdition(rule)
    ? BEGINS_ANEW.includes(state)
    : (state === 'watch' || state === 'closed') && !signedEarly;
