import type { FlightLog } from '../../flight-log/flight-log';
import { type Quaternion, turnAbout, turnedBy } from '../../geometry/rotation';

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

type AttitudeColumns = Readonly<Record<keyof Quaternion, Float64Array>>;

/** Every attitude of a log, turned in the world. */
export function turnedAttitudes(columns: AttitudeColumns, turn: Quaternion): AttitudeColumns {
  const [qw, qx, qy, qz] = [columns.qw.slice(), columns.qx.slice(), columns.qy.slice(), columns.qz.slice()];
  for (let i = 0; i < qw.length; i += 1) {
    const q = turnedBy(turn, { qw: qw[i]!, qx: qx[i]!, qy: qy[i]!, qz: qz[i]! });
    [qw[i], qx[i], qy[i], qz[i]] = [q.qw, q.qx, q.qy, q.qz];
  }
  return { qw, qx, qy, qz };
}

/** A log in the axes of a drill, whose pilot stands at 0, 0 and looks north. */
export function placed(log: FlightLog, { x, y, towardDeg }: Placement): FlightLog {
  const toward = (towardDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(toward), Math.sin(toward)];
  const c = log.columns;
  const across = (a: Float64Array, b: Float64Array, [a0, b0] = [0, 0]) =>
    a.map((_, i) => (a[i]! - a0) * cos - (b[i]! - b0) * sin);
  const along = (a: Float64Array, b: Float64Array, [a0, b0] = [0, 0]) =>
    a.map((_, i) => (a[i]! - a0) * sin + (b[i]! - b0) * cos);
  return {
    ...log,
    columns: {
      ...c,
      ...{ x: across(c.x, c.y, [x, y]), y: along(c.x, c.y, [x, y]) },
      ...{ vx: across(c.vx, c.vy), vy: along(c.vx, c.vy) },
      ...turnedAttitudes(c, turnAbout('qz', toward)),
      ...{ windX: across(c.windX, c.windY), windY: along(c.windX, c.windY) },
    },
  };
}
