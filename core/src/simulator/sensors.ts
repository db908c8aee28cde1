import type { SensorSide, SpeedSetting } from '../vocabulary/craft-facts';
import { noseAngleRad } from '../geometry/rotation';
import type { BodyState } from './rigid-body';
import type { StickPosition } from './control/control';
import { distanceTo, type Solid } from './world';

/**
 * Small craft warn from here on, and stop so far off; what looks ahead in a fast setting looks further. Common
 * practice.
 */
const WARNS_M: Readonly<Record<SpeedSetting, number>> = { slow: 6.5, normal: 6.5, fast: 12 };
const STOPS_M: Readonly<Record<SpeedSetting, number>> = { slow: 2, normal: 3, fast: 4 };
const BEHIND_STOPS_M = 2;
/** Thinner than this is not seen: twigs, wires, poles of tape. */
const SEEN_FROM_M = 0.15;
const LOOKS_EVERY_M = 0.4;
const SLOWS_PER_S = 0.8;

const isSeen = (solid: Solid): boolean =>
  solid.solid === 'box' || solid.solid === 'ball' || solid.radiusM >= SEEN_FROM_M;

/** Body direction in which each side looks: ahead, left, up. */
const LOOKS: Readonly<Record<Exclude<SensorSide, 'side'>, readonly [number, number, number]>> = {
  ahead: [1, 0, 0],
  behind: [-1, 0, 0],
  above: [0, 0, 1],
  below: [0, 0, -1],
};

/** Sensors that a craft carries, and whether they work in its fast setting. */
export interface FittedSensors {
  readonly sides: readonly SensorSide[];
  readonly inFast: boolean;
}

/** Ahead and behind, and not in fast: where nobody says what a craft carries. Common practice. */
export const USUAL_SENSORS: FittedSensors = { sides: ['ahead', 'behind'], inFast: false };

/** Whether there is anything to find out about what it sees on its way over the ground. */
export const looksAlong = ({ sides }: FittedSensors): boolean =>
  sides.some((side) => side === 'ahead' || side === 'behind' || side === 'side');

/** A craft with sensors among the things that stand about. */
export interface SensingCraft {
  readonly fitted: FittedSensors;
  readonly spanM: number;
  readonly setting: SpeedSetting;
  readonly holdsPosition: boolean;
  /** Of the setting flown, which full stick asks for. */
  readonly topSpeedMps: number;
  readonly solids: readonly Solid[];
}

/** Way to the first thing in a body direction [ahead, left, up] that the sensor can see, m; Infinity for none. */
function freeWay(
  s: BodyState,
  [ahead, left, up]: readonly [number, number, number],
  { solids, spanM, setting }: SensingCraft,
): number {
  const heading = noseAngleRad(s);
  const toM = WARNS_M[setting];
  const [cos, sin] = [Math.cos(heading), Math.sin(heading)];
  const [dx, dy] = [ahead * cos - left * sin, ahead * sin + left * cos];
  for (let d = LOOKS_EVERY_M; d <= toM; d += LOOKS_EVERY_M) {
    for (const solid of solids)
      if (isSeen(solid) && distanceTo(solid, s.px + d * dx, s.py + d * dy, s.pz + d * up) < spanM / 2)
        return d;
  }
  return Infinity;
}

/** What the sensors found, and the sticks as they let them through. */
export interface Heeded {
  readonly sticks: StickPosition;
  /** The nearest thing on a side that is looked at, m; Infinity for none. */
  readonly nearestM: number;
}

/**
 * Obstacle sensors as small craft have them: only on their sides, blind to thin things, off without position hold
 * and, unless the craft's record says otherwise, in the fast setting. They slow the craft toward what they see and stop
 * it short; they do not steer round it.
 */
export function heedSensors(s: BodyState, sticks: StickPosition, craft: SensingCraft): Heeded {
  const { setting, holdsPosition, topSpeedMps } = craft;
  const { sides, inFast } = craft.fitted;
  if ((setting === 'fast' && !inFast) || !holdsPosition || sides.length === 0)
    return { sticks, nearestM: Infinity };
  let { pitch, roll, throttle } = sticks;
  let nearestM = Infinity;
  const most = (way: number, stops: number) => Math.max(0, (SLOWS_PER_S * (way - stops)) / topSpeedMps);
  const looks = (direction: readonly [number, number, number]) => {
    const way = freeWay(s, direction, craft);
    nearestM = Math.min(nearestM, way);
    return way;
  };
  for (const side of sides) {
    if (side === 'side') {
      if (roll > 0) roll = Math.min(roll, most(looks([0, -1, 0]), STOPS_M[setting]));
      if (roll < 0) roll = Math.max(roll, -most(looks([0, 1, 0]), STOPS_M[setting]));
      continue;
    }
    const way = looks(LOOKS[side]);
    if (way === Infinity) continue;
    if (side === 'ahead') pitch = Math.min(pitch, most(way, STOPS_M[setting]));
    if (side === 'behind') pitch = Math.max(pitch, -most(way, BEHIND_STOPS_M));
    if (side === 'above') throttle = Math.min(throttle, most(way, 1));
    if (side === 'below') throttle = Math.max(throttle, -most(way, 0.5));
  }
  return { sticks: { ...sticks, pitch, roll, throttle }, nearestM };
}
