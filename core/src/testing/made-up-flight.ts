import type { Exercise, Stage } from '../assessment/exercise';
import type { Segment } from '../assessment/segment';
import type { Sample } from '../flight-log/flight-log';
import { offsetFromPath } from '../geometry/path';
import { craftModel } from '../simulator/craft-model';
import type { Solid } from '../simulator/world';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';

/** Flights made up for tests, so that each value can be said without a computer. */

export const MADE_UP_CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const HZ = 50;

export type At = Partial<Sample> & { readonly noseDeg?: number };

/** One sample: standing 10 m north and 3 m up, nose north, position held, in still air, but for what is given. */
export function madeUpSample(t: number, { noseDeg = 0, ...part }: At = {}): Sample {
  const half = ((90 - noseDeg) * Math.PI) / 360;
  const place = { x: 0, y: 10, z: 3, vx: 0, vy: 0, vz: 0 };
  const nose = { qw: Math.cos(half), qx: 0, qy: 0, qz: Math.sin(half) };
  const sticks = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };
  const modes = { mode: 3, setting: 1, relative: 0, hold: 1 };
  return { t, ...place, ...nose, ...sticks, ...modes, battery: 1, windX: 0, windY: 0, windZ: 0, ...part };
}

/** Samples of so many seconds, each as `at` says. */
export const madeUpSamples = (seconds: number, at: (t: number) => At): readonly Sample[] =>
  Array.from({ length: Math.round(seconds * HZ) + 1 }, (_, i) => madeUpSample(i / HZ, at(i / HZ)));

interface Around {
  readonly solids?: readonly Solid[];
  readonly course?: Partial<Exercise>;
  readonly index?: number;
}

/** One part of a drill, flown for so many seconds as `at` says. */
export function madeUpSegment(
  stage: Stage,
  seconds: number,
  at: (t: number) => At,
  { solids = [], course = {}, index = 0 }: Around = {},
): Segment {
  const samples = madeUpSamples(seconds, at);
  return {
    stage,
    index,
    samples,
    offsets: samples.map((s) => offsetFromPath(stage.path, [s.x, s.y, s.z])),
    from: 0,
    events: [],
    craft: MADE_UP_CRAFT,
    course: { stages: [stage], standards: [], ...course },
    solids,
    startS: 0,
  };
}
