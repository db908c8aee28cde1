import type { FlightLog } from '../../flight-log/flight-log';
import { turnedBy } from '../../geometry/rotation';

/** A place over the ground in the flight's own axes, m: x east, y north of where it began. */
export interface FieldPlace {
  readonly x: number;
  readonly y: number;
}

/** Where a drill was set up in the field: where the pilot stood, and the bearing that was looked along, degrees. */
export interface Placement extends FieldPlace {
  readonly towardDeg: number;
}

/** From two places that are known: the pilot's, and one straight ahead. */
export const placementFrom = (pilot: FieldPlace, ahead: FieldPlace): Placement => ({
  ...pilot,
  towardDeg: (Math.atan2(ahead.x - pilot.x, ahead.y - pilot.y) * 180) / Math.PI,
});

/** A place of a drill as it lies in the field; the other way round from `placed`. */
export function inField({ x, y, towardDeg }: Placement, at: FieldPlace): FieldPlace {
  const toward = (towardDeg * Math.PI) / 180;
  return {
    x: x + at.x * Math.cos(toward) + at.y * Math.sin(toward),
    y: y - at.x * Math.sin(toward) + at.y * Math.cos(toward),
  };
}

/** A log in the axes of a drill, whose pilot stands at 0, 0 and looks north. */
export function placed(log: FlightLog, { x, y, towardDeg }: Placement): FlightLog {
  const toward = (towardDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(toward), Math.sin(toward)];
  const turn = { qw: Math.cos(toward / 2), qx: 0, qy: 0, qz: Math.sin(toward / 2) };
  const c = log.columns;
  const across = (a: Float64Array, b: Float64Array, [a0, b0] = [0, 0]) =>
    a.map((_, i) => (a[i]! - a0) * cos - (b[i]! - b0) * sin);
  const along = (a: Float64Array, b: Float64Array, [a0, b0] = [0, 0]) =>
    a.map((_, i) => (a[i]! - a0) * sin + (b[i]! - b0) * cos);
  const [qw, qx, qy, qz] = [c.qw.slice(), c.qx.slice(), c.qy.slice(), c.qz.slice()];
  for (let i = 0; i < log.length; i += 1) {
    const q = turnedBy(turn, { qw: c.qw[i]!, qx: c.qx[i]!, qy: c.qy[i]!, qz: c.qz[i]! });
    [qw[i], qx[i], qy[i], qz[i]] = [q.qw, q.qx, q.qy, q.qz];
  }
  return {
    ...log,
    columns: {
      ...c,
      ...{ x: across(c.x, c.y, [x, y]), y: along(c.x, c.y, [x, y]) },
      ...{ vx: across(c.vx, c.vy), vy: along(c.vx, c.vy) },
      ...{ qw, qx, qy, qz },
      ...{ windX: across(c.windX, c.windY), windY: along(c.windX, c.windY) },
    },
  };
}
