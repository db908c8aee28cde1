import { type Quaternion, thrustAxis, turnAbout, turnedBy } from '../geometry/rotation';
import type { RecordedField } from './mapping/fields';
import type { SmoothFlight } from './smoothing/smooth-flight';
import { G_MPS2 } from '../reconstruct/constants';

/** Attitude at every moment, body (ahead, left, up) to world (east, north, up), and where it is from. */
export interface Attitudes {
  readonly from: 'quaternion' | 'angles' | 'acceleration' | null;
  readonly at: (i: number) => Quaternion | null;
}

/** Heading clockwise from north, then nose up, then right side down: the order of ISO 1151. */
const fromAngles = (headingRad: number, noseUpRad: number, rightRad: number): Quaternion =>
  turnedBy(
    turnedBy(turnAbout('qz', Math.PI / 2 - headingRad), turnAbout('qy', -noseUpRad)),
    turnAbout('qx', rightRad),
  );

/** North-east-down to east-north-up, and front-right-down to front-left-up. */
const fromNorthEastDown = ({ qw, qx, qy, qz }: Quaternion): Quaternion => {
  const half = Math.SQRT1_2;
  const world: Quaternion = { qw: 0, qx: half, qy: half, qz: 0 };
  return turnedBy(turnedBy(world, { qw, qx, qy, qz }), { qw: 0, qx: 1, qy: 0, qz: 0 });
};

type Reads = (i: number) => Quaternion | null;

/** Looked at so often, and only where it is pushed so much, m/s². */
const [EVERY, PUSHED] = [10, 0.6];

/** How well thrust points where the craft is pushed, −1 to 1: what a wrong convention does not do. */
function agrees({ axes }: SmoothFlight, reads: Reads): number {
  let [sum, count] = [0, 0];
  for (let i = 0; i < axes.east.push.length; i += EVERY) {
    const [ax, ay] = [axes.east.push[i]!, axes.north.push[i]!];
    const size = Math.hypot(ax, ay);
    const q = size > PUSHED ? reads(i) : null;
    if (!q) continue;
    const [tx, ty] = thrustAxis(q);
    const lean = Math.hypot(tx, ty);
    if (lean < 0.02) continue;
    sum += (tx * ax + ty * ay) / (lean * size);
    count += 1;
  }
  return count > 5 ? sum / count : 0;
}

/** The reading that agrees best; the first where the flight cannot tell. */
const bestOf = (flight: SmoothFlight, all: readonly Reads[]): Reads =>
  all
    .map((reads, nth) => ({ reads, agreed: agrees(flight, reads) + (nth === 0 ? 0.15 : 0) }))
    .reduce((a, b) => (b.agreed > a.agreed ? b : a)).reads;

const allOf = (flight: SmoothFlight, fields: readonly RecordedField[]): readonly Float64Array[] | null => {
  const found = fields.map((field) => flight.channels.get(field));
  return found.every((each) => each !== undefined) ? found : null;
};

function byQuaternion(flight: SmoothFlight): Reads | null {
  const found = allOf(flight, ['q_w', 'q_x', 'q_y', 'q_z']);
  if (!found) return null;
  const told: Reads = (i) => {
    const [qw, qx, qy, qz] = found.map((values) => values[i]!) as [number, number, number, number];
    const size = Math.hypot(qw, qx, qy, qz);
    return size > 0.5 ? { qw: qw / size, qx: qx / size, qy: qy / size, qz: qz / size } : null;
  };
  const turned: Reads = (i) => {
    const q = told(i);
    return q && fromNorthEastDown(q);
  };
  return bestOf(flight, [told, turned]);
}

function byAngles(flight: SmoothFlight): Reads | null {
  const found = allOf(flight, ['heading', 'pitch', 'roll']);
  if (!found) return null;
  const [heading, pitch, roll] = found as [Float64Array, Float64Array, Float64Array];
  const signed =
    (noseUp: 1 | -1, right: 1 | -1): Reads =>
    (i) =>
      Number.isFinite(heading[i]! + pitch[i]! + roll[i]!)
        ? fromAngles(heading[i]!, noseUp * pitch[i]!, right * roll[i]!)
        : null;
  return bestOf(flight, [signed(1, 1), signed(-1, 1), signed(1, -1), signed(-1, -1)]);
}

/** Thrust is what is left of the push without weight; the nose is told, or nobody knows. */
function byPush(flight: SmoothFlight): Reads | null {
  const heading = flight.channels.get('heading');
  const { up, east, north } = flight.axes;
  if (!heading || !up) return null;
  return (i) => {
    if (!Number.isFinite(heading[i]!)) return null;
    const [x, y, z] = [east.push[i]!, north.push[i]!, up.push[i]! + G_MPS2];
    const size = Math.hypot(x, y, z);
    if (size < 1) return null;
    // Half way between up and thrust turns up into thrust.
    const [hx, hy, hz] = [x / size, y / size, z / size + 1];
    const half = Math.hypot(hx, hy, hz);
    if (half < 1e-6) return null;
    const tilt: Quaternion = { qw: hz / half, qx: -hy / half, qy: hx / half, qz: 0 };
    return turnedBy(tilt, turnAbout('qz', Math.PI / 2 - heading[i]!));
  };
}

/** Attitude as far as there is any: told, or worked out of how it is pushed and where its nose points. */
export function attitudesOf(flight: SmoothFlight): Attitudes {
  const ways = [
    ['quaternion', byQuaternion],
    ['angles', byAngles],
    ['acceleration', byPush],
  ] as const;
  for (const [from, way] of ways) {
    const reads = way(flight);
    if (reads) return { from, at: reads };
  }
  return { from: null, at: () => null };
}
