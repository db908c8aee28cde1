import type { DrillId } from '../drills/drills';
import type { OnRelease } from '../vocabulary/flying';

export const FAMILIES = [
  { id: 'orientation', name: 'Orientation', hint: 'Did not know, or misread, where the nose pointed' },
  { id: 'own-wash', name: 'Own wash', hint: 'Fell into the air its own rotors had churned' },
  { id: 'obstacles', name: 'Obstacles', hint: 'Could not stop, backed in blind, thin things, roofs, gaps' },
  { id: 'hold-and-air', name: 'Hold and wind', hint: 'Position hold gone, or the air carried it' },
  { id: 'stick-handling', name: 'Stick handling', hint: 'Too much, too little, or the wrong stick' },
  {
    id: 'settings',
    name: 'Settings and modes',
    hint: 'Not the mode, the failsafe or the heading it should have been',
  },
  { id: 'energy-and-link', name: 'Battery and link', hint: 'Ran low, lost the radio, flew out of sight' },
  {
    id: 'person-and-surroundings',
    name: 'Person and surroundings',
    hint: 'Distraction, panic, people near, the picture, a step left out, birds, weather, the craft',
  },
] as const;

export type FamilyId = (typeof FAMILIES)[number]['id'];

/** A mechanism that has to be trained away, not the thing that was hit. */
export interface Cause<Id extends string = string> {
  readonly id: Id;
  readonly family: FamilyId;
  /** What a trainer calls it. */
  readonly name: string;
  /** One line that lets a trainer recognise it in the field. */
  readonly sign: string;
  /** How it comes about. */
  readonly how: string;
  /** What the pilot should have done in the moment, by what the craft does on released sticks. */
  readonly respond: Readonly<Record<OnRelease, string>>;
  /** What the pilot may not fly until cleared. */
  readonly restriction: string;
  /** Drill ids, in the order in which they are usually met. */
  readonly drills: readonly DrillId[];
  /** One or two drills whose test reps decide, flown or by cases; see `keyDrillsFor` for the choice by craft. */
  readonly key: readonly DrillId[];
  /** Human factors are seldom primary: ask what they made the pilot do wrong. */
  readonly humanFactor?: true;
}
