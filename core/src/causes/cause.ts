import type { DrillId } from '../drills/drills';

export const FAMILIES = [
  'orientation',
  'own-wash',
  'obstacles',
  'hold-and-air',
  'stick-handling',
  'settings',
  'energy-and-link',
  'person-and-surroundings',
] as const;

export type FamilyId = (typeof FAMILIES)[number];

/** A mechanism that has to be trained away, not the thing that was hit. */
export interface Cause<Id extends string = string> {
  readonly id: Id;
  readonly family: FamilyId;
  /** Drill ids, in the order in which they are usually met. */
  readonly drills: readonly DrillId[];
  /** One or two drills whose test reps decide, flown or by cases; see `keyDrillsFor` for the choice by craft. */
  readonly key: readonly DrillId[];
  /** Human factors are seldom primary: ask what they made the pilot do wrong. */
  readonly humanFactor?: true;
}
