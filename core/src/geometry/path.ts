/** A place in world axes, m: x east, y north, z up; the pilot stands at 0, 0. */
export type PathPoint = readonly [number, number, number];

/** What a part of a drill is flown along. */
export type Path =
  | { readonly is: 'point'; readonly at: PathPoint }
  | { readonly is: 'segment'; readonly from: PathPoint; readonly to: PathPoint }
  /**
   * Round a centre, from a bearing seen from it (clockwise from north) through so many degrees, clockwise
   * positive.
   */
  | {
      readonly is: 'arc';
      readonly centre: PathPoint;
      readonly radiusM: number;
      readonly fromDeg: number;
      readonly sweepDeg: number;
    };

/** Where something lies beside a path. */
export interface PathOffset {
  /**
   * Along it from its beginning, m; before it negative, beyond it more than its length. On an arc, of the way
   * already come round.
   */
  readonly alongTrackM: number;
  /** To the side, over the ground, m. */
  readonly crossTrackM: number;
  /** The nearest place on it. */
  readonly nearest: PathPoint;
  /** Which way it runs there, as a bearing. */
  readonly bearingDeg: number;
}

const DEGREE = Math.PI / 180;
export const bearing = (dx: number, dy: number): number => Math.atan2(dx, dy) / DEGREE;

export function lengthOf(path: Path): number {
  if (path.is === 'point') return 0;
  if (path.is === 'arc') return path.radiusM * Math.abs(path.sweepDeg) * DEGREE;
  return Math.hypot(path.to[0] - path.from[0], path.to[1] - path.from[1], path.to[2] - path.from[2]);
}

/** A place of an arc, so far round it from its beginning. */
function onArc({ centre, radiusM, fromDeg }: Extract<Path, { is: 'arc' }>, roundDeg: number): PathPoint {
  const at = (fromDeg + roundDeg) * DEGREE;
  return [centre[0] + radiusM * Math.sin(at), centre[1] + radiusM * Math.cos(at), centre[2]];
}

/** Where a way begins. */
export const beginningOf = (path: Path): PathPoint =>
  path.is === 'point' ? path.at : path.is === 'segment' ? path.from : onArc(path, 0);

/** Places along a way, its ends among them. @param stepM at most so far apart */
export function placesAlong(path: Path, stepM: number): readonly PathPoint[] {
  const n = path.is === 'point' ? 0 : Math.max(1, Math.ceil(lengthOf(path) / stepM));
  return Array.from({ length: n + 1 }, (_, i) => {
    if (path.is === 'point') return path.at;
    if (path.is === 'arc') return onArc(path, (i / n) * path.sweepDeg);
    const { from, to } = path;
    const between = (axis: 0 | 1 | 2) => from[axis] + (i / n) * (to[axis] - from[axis]);
    return [between(0), between(1), between(2)];
  });
}

/** @param wayRoundDeg how far round an arc the craft has come, from `fromDeg`, in the way of the arc */
export function offsetFromPath(path: Path, [x, y, z]: PathPoint, wayRoundDeg = 0): PathOffset {
  switch (path.is) {
    case 'point':
      return {
        alongTrackM: 0,
        crossTrackM: Math.hypot(x - path.at[0], y - path.at[1]),
        nearest: path.at,
        bearingDeg: 0,
      };
    case 'segment': {
      const { from, to } = path;
      const d = [to[0] - from[0], to[1] - from[1], to[2] - from[2]] as const;
      const length = lengthOf(path);
      const alongM =
        length === 0 ? 0 : ((x - from[0]) * d[0] + (y - from[1]) * d[1] + (z - from[2]) * d[2]) / length;
      const share = length === 0 ? 0 : Math.min(1, Math.max(0, alongM / length));
      const nearest: PathPoint = [from[0] + share * d[0], from[1] + share * d[1], from[2] + share * d[2]];
      const level = Math.hypot(d[0], d[1]);
      const offM =
        level < 1e-6
          ? Math.hypot(x - from[0], y - from[1])
          : Math.abs((x - from[0]) * d[1] - (y - from[1]) * d[0]) / level;
      return { alongTrackM: alongM, crossTrackM: offM, nearest, bearingDeg: bearing(d[0], d[1]) };
    }
    case 'arc': {
      const { centre, radiusM, fromDeg, sweepDeg } = path;
      const round = Math.sign(sweepDeg) * wayRoundDeg;
      return {
        alongTrackM: radiusM * wayRoundDeg * DEGREE,
        crossTrackM: Math.abs(Math.hypot(x - centre[0], y - centre[1]) - radiusM),
        nearest: onArc(path, round),
        bearingDeg: fromDeg + round + 90 * Math.sign(sweepDeg),
      };
    }
  }
}

/**
 * How far round an arc a place is, on from how far round it was before: a craft does not jump to the other
 * side.
 */
export function wayRound(
  path: Extract<Path, { is: 'arc' }>,
  x: number,
  y: number,
  beforeDeg: number,
): number {
  const at = Math.sign(path.sweepDeg) * (bearing(x - path.centre[0], y - path.centre[1]) - path.fromDeg);
  return beforeDeg + ((((at - beforeDeg) % 360) + 540) % 360) - 180;
}
