import type { Side } from '@skelby/core/drills/drill';
import type { DrillId } from '@skelby/core/drills/drills';
import { forget, keep, kept } from './storage';

/** A rep that a recorded flight shows, on its way to where reps are counted. */
export interface MeasuredRep {
  readonly drillId: DrillId;
  readonly side: Side | null;
  /** What the flight says, in words. */
  readonly says: string;
  readonly measure: number | null;
  readonly distanceM: number | null;
  /** When it was flown, where that was another day than this; null: today. */
  readonly flownThen: { readonly day: string; readonly flownAt: string } | null;
}

const nameOf = (weaknessId: string): string => `measured-rep.${weaknessId}`;

export const passMeasuredRep = (weaknessId: string, rep: MeasuredRep): void => keep(nameOf(weaknessId), rep);

/** @returns null where none is on its way; it comes once */
export function takeMeasuredRep(weaknessId: string): MeasuredRep | null {
  const rep = kept<MeasuredRep>(nameOf(weaknessId));
  if (rep !== null) forget(nameOf(weaknessId));
  return rep;
}
