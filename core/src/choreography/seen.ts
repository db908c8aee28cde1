import type { ScenePose } from './fly';

/** Eye of a standing pilot above the ground, m. */
export const EYE_M = 1.6;
const DEGREE = Math.PI / 180;

/**
 * A point in the pilot's view: across and up in units of the view's half width, and how far away it is, m.
 */
export interface Seen {
  readonly across: number;
  readonly up: number;
  readonly awayM: number;
}

export interface View {
  /** Where the pilot looks, degrees clockwise from straight ahead. */
  readonly bearingDeg: number;
  /** How far up the pilot looks, degrees. */
  readonly tiltDeg: number;
  /** Half of the width of the view, degrees. */
  readonly halfDeg: number;
}

type Place = Pick<ScenePose, 'x' | 'y' | 'z'>;

const bearingOf = (pose: Place): number => Math.atan2(pose.x, pose.y) / DEGREE;
const elevationOf = (pose: Place): number => Math.atan2(pose.z - EYE_M, Math.hypot(pose.x, pose.y)) / DEGREE;

const NARROWEST_DEG = 18;
const WIDEST_DEG = 50;
const MARGIN_DEG = 6;
/** Up to here the pilot sees a craft without lifting the head. */
const LEVEL_TO_DEG = 14;
const tiltFor = (elevationDeg: number) => (elevationDeg > LEVEL_TO_DEG ? elevationDeg - LEVEL_TO_DEG / 2 : 0);

/**
 * A view that holds the whole movement, looking the same way throughout; null when the pilot has to turn with
 * the craft.
 */
export function fixedView(poses: readonly Place[]): View | null {
  const bearings = poses.map(bearingOf);
  const [least, most] = [Math.min(...bearings), Math.max(...bearings)];
  const halfDeg = Math.max(NARROWEST_DEG, (most - least) / 2 + MARGIN_DEG);
  const elevations = poses.map(elevationOf);
  const [low, high] = [Math.min(...elevations), Math.max(...elevations)];
  // A view is about half as high as it is wide.
  if (halfDeg > WIDEST_DEG || high - low > halfDeg) return null;
  return { bearingDeg: (least + most) / 2, tiltDeg: tiltFor(high), halfDeg };
}

/** The view of a pilot who turns and lifts the head with the craft. */
export const turningView = (pose: Place): View => ({
  bearingDeg: bearingOf(pose),
  tiltDeg: tiltFor(elevationOf(pose)),
  halfDeg: 30,
});

/**
 * Where the pilot sees a point: central projection from the eye. Points behind the pilot come out with
 * `awayM` of 0 or less.
 */
export function seen(point: Place, view: View): Seen {
  const turn = view.bearingDeg * DEGREE;
  const tilt = view.tiltDeg * DEGREE;
  const levelM = point.x * Math.sin(turn) + point.y * Math.cos(turn);
  const aboveM = point.z - EYE_M;
  const awayM = levelM * Math.cos(tilt) + aboveM * Math.sin(tilt);
  const asideM = point.x * Math.cos(turn) - point.y * Math.sin(turn);
  const perHalf = Math.max(awayM, 0.1) * Math.tan(view.halfDeg * DEGREE);
  return {
    across: asideM / perHalf,
    up: (aboveM * Math.cos(tilt) - levelM * Math.sin(tilt)) / perHalf,
    awayM,
  };
}

/** How high the horizon stands in the view, in units of its half width. */
export const horizonIn = ({ tiltDeg, halfDeg }: View): number =>
  -Math.tan(tiltDeg * DEGREE) / Math.tan(halfDeg * DEGREE);

/**
 * Points of a small multirotor of that span: four rotors, clockwise from front right, and the tip of its
 * nose.
 */
export function craftPoints(
  pose: ScenePose,
  spanM: number,
  leanDeg: { readonly forward: number; readonly right: number },
): readonly { readonly x: number; readonly y: number; readonly z: number }[] {
  const [nose, pitch, roll] = [pose.noseDeg * DEGREE, leanDeg.forward * DEGREE, leanDeg.right * DEGREE];
  const reach = spanM / 2;
  const body = [
    [1, 1],
    [1, -1],
    [-1, -1],
    [-1, 1],
    [1.7, 0],
  ].map(([ahead, aside]) => ({ ahead: ahead! * reach * 0.7, aside: aside! * reach * 0.7 }));
  return body.map(({ ahead, aside }) => ({
    x: pose.x + ahead * Math.cos(pitch) * Math.sin(nose) + aside * Math.cos(roll) * Math.cos(nose),
    y: pose.y + ahead * Math.cos(pitch) * Math.cos(nose) - aside * Math.cos(roll) * Math.sin(nose),
    z: pose.z - ahead * Math.sin(pitch) - aside * Math.sin(roll),
  }));
}
