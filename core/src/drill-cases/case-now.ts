import { type FlightMode, onReleaseIn } from '../vocabulary/flying';
import { newestFirst } from '../vocabulary/flown-order';
import type { DrillCase } from './case';
import { Random } from '../simulator/random';
import { deckFor, drawCase } from './decks';

/** What the lot needs to know of an attempt before. */
interface AttemptBefore {
  readonly id: string;
  readonly drillId: string;
  readonly flownAt: string;
  readonly caseId?: string | null;
}

/** The last digits of a key are chance (RFC 9562): enough to begin a lot with. */
const seedIn = (key: string): number => Number.parseInt(key.replaceAll('-', '').slice(-8), 16);

/**
 * The case that is drawn for the next attempt: the same one until that is recorded, so that nothing is drawn
 * again by opening the page again.
 * @param key what the attempts belong to, a UUID
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
  const chance = new Random(seedIn(key) + used.length).uniform();
  const card = drawCase(deckFor(drillId), used, chance);
  return (
    card && {
      id: card.id,
      ...card.of({
        craft: { hasPositionHold: holds, sensorSides: holds ? ['below'] : [] },
        windLimitMps: pilot.windLimitMps,
      }),
    }
  );
}
