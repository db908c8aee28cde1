import type { Replay } from '../assessment/replay';
import { type Quaternion, turnAbout } from '../geometry/rotation';
import { attitudesOf } from './attitude';
import { isInGap, type SmoothFlight } from './smoothing/smooth-flight';

/** A part of a recorded flight as it is shown again. */
export interface ShownAgain {
  readonly replay: Replay;
  /** Whether its lean was recorded, or worked out; else it is drawn level, its nose along its way. */
  readonly isLeanKnown: boolean;
  readonly areSticksKnown: boolean;
}

const HZ = 20;
/** Slower than this a way has no direction, m/s. */
const UNDER_WAY_MPS = 0.4;

/** Level, its nose so far round from east, rad. */
const level = (fromEast: number): Quaternion => turnAbout('qz', fromEast);

/**
 * A part of a flight, to be seen from where it began; null where no heights were recorded: nobody could say where it
 * was seen.
 * @param fromS @param toS s from its beginning
 */
export function shownAgain(flight: SmoothFlight, fromS: number, toS: number): ShownAgain | null {
  const { t, hz, axes, channels } = flight;
  const { east, north, up } = axes;
  if (up === null) return null;
  const attitudes = attitudesOf(flight);
  const stick = (axis: 'throttle' | 'yaw' | 'pitch' | 'roll') => channels.get(`stick_${axis}`);
  const sticks = {
    throttle: stick('throttle'),
    yaw: stick('yaw'),
    pitch: stick('pitch'),
    roll: stick('roll'),
  };
  const every = Math.max(1, Math.round(hz / HZ));
  const chosen: number[] = [];
  const poses: Quaternion[] = [];
  let last = level(Math.PI / 2);
  for (let i = Math.max(0, Math.floor(fromS * hz)); i < t.length && t[i]! <= toS; i += every) {
    if (isInGap(flight, t[i]!)) continue;
    const way = [east.speed[i]!, north.speed[i]!] as const;
    const known = attitudes.at(i);
    if (known) last = known;
    else if (attitudes.from === null && Math.hypot(...way) > UNDER_WAY_MPS)
      last = level(Math.atan2(way[1], way[0]));
    chosen.push(i);
    poses.push(last);
  }
  const picked = (values: Float64Array | undefined) => Float32Array.from(chosen, (i) => values?.[i] ?? NaN);
  const turned = (axis: keyof Quaternion) => Float32Array.from(poses, (pose) => pose[axis]);
  return {
    replay: {
      ...{ t: picked(t), x: picked(east.place), y: picked(north.place), z: picked(up.place) },
      ...{ qw: turned('qw'), qx: turned('qx'), qy: turned('qy'), qz: turned('qz') },
      throttle: picked(sticks.throttle),
      yaw: picked(sticks.yaw),
      pitch: picked(sticks.pitch),
      roll: picked(sticks.roll),
    },
    isLeanKnown: attitudes.from !== null,
    areSticksKnown: Object.values(sticks).every((each) => each !== undefined),
  };
}
