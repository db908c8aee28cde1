import type { Exercise, Stage } from '../assessment/exercise';
import type { Referee } from '../assessment/referee';
import type { Sample } from '../flight-log/flight-log';
import type { PathOffset } from '../geometry/path';
import type { PilotedMode } from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import type { Habit } from './habits';

/** What a pair of hands can do. */
export interface Skill {
  /** From seeing to moving the stick, s. */
  readonly reactionS: number;
  /** How hard it corrects; 1 is steady. */
  readonly gain: number;
  /** Until a lost hold is noticed, s. */
  readonly noticesS: number;
  /** Shake of the sticks, as a share of full travel. */
  readonly tremor: number;
}
export const SKILLED: Skill = { reactionS: 0.22, gain: 1, noticesS: 0.8, tremor: 0.01 };

/** How often hands decide anew, s. */
export const DECIDES_S = 0.02;
export const DEGREE = Math.PI / 180;
export const clamp = (value: number, most: number): number => Math.max(-most, Math.min(most, value));

/** Height is not held for the pilot. */
export const isByHand = (mode: PilotedMode): boolean => mode === 'rate' || mode === 'self-level';

/** Who flies what: all that does not change in a flight. */
export interface FlyingHands {
  readonly craft: CraftModel;
  readonly course: Exercise;
  readonly skill: Skill;
  readonly habits: ReadonlySet<Habit>;
}

/** What hands see: the craft as it was a moment ago, and which part of the drill is on. */
export interface Perception {
  readonly s: Sample;
  readonly referee: Referee;
  readonly mode: PilotedMode;
  readonly setting: SpeedSetting;
  readonly holds: boolean;
  readonly relative: boolean;
}

/** Speed over the ground and up, east, north and up, m/s. */
export type Velocity = readonly [number, number, number];

/** A way to be flown now: which part of the drill, where beside it the craft is, and the speed that is wanted. */
export interface Leg {
  readonly stage: Stage;
  readonly at: PathOffset;
  readonly velocity: Velocity;
  /** Turn of the way in a bend, rad/s. */
  readonly turnRate: number;
}
