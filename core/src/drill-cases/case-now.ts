import { type FlightMode, onReleaseIn } from '../vocabulary/flying';
import { newestFirst } from '../vocabulary/flown-order';
import type { DrillCase } from './case';
import { casesOf, drawCase } from './decks';

/** What the lot needs to know of an attempt before. */
interface AttemptBefore {
  readonly id: string;
  readonly drillId: string;
  readonly flownAt: string;
  readonly caseId?: string | null;
}

/** 0 to under 1 out of words, the same for the same words. FNV-1a (Fowler, Noll and Vo 1991). */
function lotOf(words: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < words.length; i += 1) hash = Math.imul(hash ^ words.charCodeAt(i), 0x01000193) >>> 0;
  // Its last step mixes the low bits into the high ones.
  hash = Math.imul(hash ^ (hash >>> 16), 0x45d9f3b) >>> 0;
  return ((hash ^ (hash >>> 16)) >>> 0) / 2 ** 32;
}

/**
 * The case that is drawn for the next attempt: the same one until that is recorded, so that nothing is drawn
 * again by opening the page again.
 * @param key what the attempts belong to
 * @returns null where the drill has no cases
 */
export function caseNow(
  drillId: string,
  key: string,
  pilot: { readonly mode: FlightMode; readonly windLimitMps: number },
  attempts: readonly AttemptBefore[],
): DrillCase | null {
  const used = attempts
    .filter((attempt) => attempt.drillId === drillId && attempt.caseId)
    .sort(newestFirst)
    .map(({ caseId }) => caseId!);
  const holds = onReleaseIn(pilot.mode) === 'hold';
  const cases = casesOf(drillId, {
    craft: { hasPositionHold: holds, sensorSides: holds ? ['below'] : [] },
    windLimitMps: pilot.windLimitMps,
  });
  return drawCase(cases, used, lotOf(`${key} ${drillId} ${used.length}`));
}
