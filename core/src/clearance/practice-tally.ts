import type { Side } from '../drills/drill';
import type { DrillId } from '../drills/drills';
import type { Day } from '../vocabulary/day';
import { newestFirst } from '../vocabulary/flown-order';
import type { Rep } from './facts';

/** How practice of one drill goes: it moves no chart, and tells when a test is worth its while. */
export interface PracticeTally {
  /** Of today, on this side. */
  readonly met: number;
  readonly flown: number;
  /** Met in a row at the standard or harder up to now, of whatever day. */
  readonly inARow: number;
  readonly isTimeToTest: boolean;
}

/**
 * So many met in a row are worth a test: who misses four of ten comes to them by luck in one try of thirteen (0.6⁵ = 0.08), who
 * misses one of ten in three of five (0.9⁵ = 0.59). From memory; a hint, and nothing counts by it.
 */
export const IN_A_ROW_TO_TEST = 5;

type PractisedRep = Pick<
  Rep,
  'id' | 'drillId' | 'side' | 'purpose' | 'met' | 'day' | 'flownAt' | 'takenBack'
> & { readonly level?: number };

/** @param reps of one weakness, in any order */
export function practiceTally(
  reps: readonly PractisedRep[],
  { drillId, side }: { readonly drillId: DrillId; readonly side: Side | null },
  today: Day,
): PracticeTally {
  const practised = reps
    .filter(
      (rep) => !rep.takenBack && rep.purpose === 'practice' && rep.drillId === drillId && rep.side === side,
    )
    .sort(newestFirst);
  const ofToday = practised.filter((rep) => rep.day === today);
  const atStandard = practised.filter(({ level }) => (level ?? 0) >= 0);
  const missedAt = atStandard.findIndex(({ met }) => !met);
  const inARow = missedAt < 0 ? atStandard.length : missedAt;
  return {
    met: ofToday.filter(({ met }) => met).length,
    flown: ofToday.length,
    inARow,
    isTimeToTest: inARow >= IN_A_ROW_TO_TEST,
  };
}
