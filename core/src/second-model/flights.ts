import type { CauseId } from '../causes/causes';
import type { FlightLog } from '../flight-log/flight-log';
import type { Ended } from '../simulator/simulated-flight';
import type { Solid } from '../simulator/world';
import { type Aids, PointCraft, type StickHands, type Weather } from './body';
import { FlightRecorder, type Recorder } from './recorder';

/** What hands do of what they see, s of the flight and s of the trouble (below 0 before it begins). */
interface Now {
  readonly craft: PointCraft;
  readonly t: number;
  readonly trouble: number;
  readonly normal: () => number;
}

/** A flight that goes well for a while, and then in one way does not. */
export interface FlightStory {
  readonly name: string;
  /** Null: a good flight. */
  readonly cause: CauseId | null;
  readonly begins: Partial<Pick<PointCraft, 'x' | 'y' | 'z' | 'noseDeg' | 'vx' | 'vy'>>;
  readonly weather: Weather;
  readonly aids: (trouble: number) => Aids;
  /** How long it goes well, and how long it goes on then, s. */
  readonly goodS: number;
  readonly troubleS: number;
  readonly hands: (now: Now) => StickHands;
  /** What happens to it beside the hands. */
  readonly happens?: (now: Now) => void;
  readonly solids?: readonly Solid[];
  /** What it ended on, if it did. */
  readonly ended?: (craft: PointCraft, solids: readonly Solid[]) => Solid | 'ground' | null;
}

export interface RecordedStory {
  readonly story: FlightStory;
  readonly log: FlightLog;
  readonly atS: number;
  readonly ended: Ended;
  readonly solids: readonly Solid[];
}

const DT = 0.01;

/** Its own small generator: Mulberry32, and the polar method. */
export function chanceOf(seed: number): { readonly uniform: () => number; readonly normal: () => number } {
  let state = seed >>> 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}

/** Flies a story and writes it down. */
export function recordStory(story: FlightStory, recorder: Recorder, seed: number): RecordedStory {
  const { normal } = chanceOf(seed);
  const craft = Object.assign(new PointCraft(story.weather, normal), { z: 4, y: 14, ...story.begins });
  const written = new FlightRecorder(recorder, normal);
  const { solids = [] } = story;
  let ended: Ended = null;
  let t = 0;
  for (; t < story.goodS + story.troubleS && !ended; t += DT) {
    const trouble = t - story.goodS;
    const aids = story.aids(trouble);
    const sticks = story.hands({ craft, t, trouble, normal });
    written.look(lineOf(craft, sticks, t, [aids, story.aids(-1)]));
    craft.step(sticks, aids, DT);
    story.happens?.({ craft, t, trouble, normal });
    if (trouble > 0.5) ended = endOf(craft, t, story.ended?.(craft, solids) ?? null);
  }
  return { story, log: written.log(), atS: t, ended, solids };
}

/** A line as it is. The mode is what was switched on; whether it holds is another thing. */
function lineOf(craft: PointCraft, sticks: StickHands, t: number, [now, switched]: readonly [Aids, Aids]) {
  const [qw, qx, qy, qz] = craft.attitude;
  const { x, y, z, vx, vy, vz, windX, windY } = craft;
  const mode = switched.holdsPlace ? 3 : 2;
  return {
    ...{ t, x, y, z, vx, vy, vz, qw, qx, qy, qz, windX, windY, windZ: 0 },
    ...sticks,
    ...{ mode, setting: 1, relative: 0, hold: now.holdsPlace ? 1 : 0, battery: 0.8 - t / 900 },
  };
}

function endOf(craft: PointCraft, atS: number, met: Solid | 'ground' | null): Ended {
  if (met === null) return null;
  const speedMps = Math.hypot(craft.vx, craft.vy, craft.vz);
  return met === 'ground'
    ? { how: 'ground', atS, speedMps, solid: null }
    : { how: 'solid', atS, speedMps, solid: met };
}
