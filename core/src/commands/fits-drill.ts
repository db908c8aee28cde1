import type { Drill } from '../drills/drill';
import { type DrillId, drillOf } from '../drills/drills';
import { daysBetween } from '../vocabulary/day';
import { sentence } from '../vocabulary/said';
import type { FieldRefusal } from './command';
import type { RepFields } from './record-rep';

/** What is said of an attempt at a drill, whether for a weakness or on the course, has to fit the drill. */

/** One thing that may not fit; null when it does. */
export type FitsDrill<Said> = (said: Said, drill: Drill<DrillId>) => FieldRefusal | null;

/** Why something said does not fit its drill; null when it does. */
export function firstRefusal<Said extends { readonly drillId: DrillId }>(
  said: Said,
  all: readonly FitsDrill<Said>[],
): FieldRefusal | null {
  const drill = drillOf(said.drillId);
  for (const fits of all) {
    const refusal = fits(said, drill);
    if (refusal) return refusal;
  }
  return null;
}

export const sideFits: FitsDrill<Pick<RepFields, 'side'>> = ({ side }, { id, sides }) =>
  side === null || sides.includes(side)
    ? null
    : {
        field: 'side',
        said:
          sides.length === 0
            ? sentence('rep.no-sides', { drill: id })
            : sentence('rep.other-side', { sides, drill: id }),
      };

export const missFits: FitsDrill<Pick<RepFields, 'met' | 'missReason'>> = ({ met, missReason }) =>
  met && missReason !== null ? { field: 'missReason', said: sentence('rep.met-without-reason') } : null;

export const placeFits: FitsDrill<Pick<RepFields, 'flownOn'>> = ({ flownOn }, { id, simulator }) =>
  flownOn === 'simulator' && simulator === 'no-use'
    ? { field: 'flownOn', said: sentence('rep.not-on-simulator', { drill: id }) }
    : null;

/** @param at when it was flown, an instant. A day may be another one somewhere else on the earth */
export const dayFits = (day: string, at: string): FieldRefusal | null =>
  Math.abs(daysBetween(day, at.slice(0, 10))) <= 1
    ? null
    : { field: 'day', said: sentence('rep.day-not-of-time') };
