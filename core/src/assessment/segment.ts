import type { CraftModel } from '../simulator/craft-model';
import type { Solid } from '../simulator/world';
import { modeAt, modeIndex, type Sample, type LogEvent, turned } from '../flight-log/flight-log';
import { headingOf } from '../geometry/rotation';
import type { Exercise, Stage } from './exercise';
import type { PathOffset } from '../geometry/path';
import { noseWanted } from './referee';
import { pilotAt } from './walk';

/** A part of a flight that one part of the drill was flown in, with what its measures need. */
export interface Segment {
  readonly stage: Stage;
  readonly index: number;
  /** All samples, and where each lay against the path. */
  readonly samples: readonly Sample[];
  readonly offsets: readonly PathOffset[];
  /** Index in `samples` from which it is measured. */
  readonly from: number;
  readonly events: readonly LogEvent[];
  readonly craft: CraftModel;
  readonly course: Exercise;
  readonly solids: readonly Solid[];
  /** Begun to fly at this s. */
  readonly startS: number;
}

/** A value, and when it was reached. */
export interface Measured {
  readonly value: number;
  readonly atS: number;
}

/** Whether the craft holds its place, and its height, for the pilot. */
/** What a log does not say of its hold and mode is taken as usual: held, as the most that a standard asks of. */
export const holdsPlace = (s: Sample): boolean => modeAt(s) === 'position-hold' && s.hold !== 0;
export const holdsHeight = (s: Sample): boolean => modeIndex(modeAt(s)) >= 2;

/** Error of the nose against what the part asks, degrees; 0 where it does not matter. */
export function noseError(segment: Segment, i: number): number {
  const [s, at] = [segment.samples[i]!, segment.offsets[i]!];
  const wanted = noseWanted(segment.stage, s, at, pilotAt(segment.course, s.t - segment.startS));
  return wanted === null ? 0 : Math.abs(turned(headingOf(s), wanted));
}

/** World direction in which pitch and roll push, a unit of stick each: x, y. */
export function pushOf(s: Sample): readonly [number, number] {
  const heading = ((s.relative ? 0 : headingOf(s)) * Math.PI) / 180;
  return [
    s.pitch * Math.sin(heading) + s.roll * Math.cos(heading),
    s.pitch * Math.cos(heading) - s.roll * Math.sin(heading),
  ];
}

export const deflection = (s: Sample): number => Math.max(Math.abs(s.pitch), Math.abs(s.roll));
/** Hands off all sticks; without height hold the throttle stays where it is needed. */
export const handsOff = (s: Sample): boolean =>
  Math.max(deflection(s), Math.abs(s.yaw), holdsHeight(s) ? Math.abs(s.throttle) : 0) < 0.06;
