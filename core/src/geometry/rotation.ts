/** An attitude, body to world, a unit quaternion. World axes x east, y north, z up; body axes x ahead, y left, z up. */
export interface Quaternion {
  readonly qw: number;
  readonly qx: number;
  readonly qy: number;
  readonly qz: number;
}

/** The rotation from body to world as nine numbers, row by row. */
export type Rotation = Float64Array;

/** Source: any text on rigid bodies, such as Diebel, "Representing Attitude", Stanford 2006. @param out receives it */
export function rotationOf({ qw, qx, qy, qz }: Quaternion, out: Rotation = new Float64Array(9)): Rotation {
  out[0] = 1 - 2 * (qy * qy + qz * qz);
  out[1] = 2 * (qx * qy - qw * qz);
  out[2] = 2 * (qx * qz + qw * qy);
  out[3] = 2 * (qx * qy + qw * qz);
  out[4] = 1 - 2 * (qx * qx + qz * qz);
  out[5] = 2 * (qy * qz - qw * qx);
  out[6] = 2 * (qx * qz - qw * qy);
  out[7] = 2 * (qy * qz + qw * qx);
  out[8] = 1 - 2 * (qx * qx + qy * qy);
  return out;
}

/** Heading of the nose in world axes, radians counterclockwise from east. */
export const noseAngleRad = ({ qw, qx, qy, qz }: Quaternion): number =>
  Math.atan2(2 * (qx * qy + qw * qz), 1 - 2 * (qy * qy + qz * qz));

/** Degrees clockwise from north to which the nose points. */
export const headingOf = (attitude: Quaternion): number => 90 - (noseAngleRad(attitude) * 180) / Math.PI;

/** Cosine of the lean: 1 upright, 0 on its side, −1 upside down. */
export const uprightness = ({ qx, qy }: Pick<Quaternion, 'qx' | 'qy'>): number => 1 - 2 * (qx * qx + qy * qy);

/** Lean from upright, degrees. */
export const leanOf = (attitude: Pick<Quaternion, 'qx' | 'qy'>): number =>
  (Math.acos(Math.max(-1, Math.min(1, uprightness(attitude)))) * 180) / Math.PI;

/** The thrust axis in world axes. */
export const thrustAxis = ({ qw, qx, qy, qz }: Quaternion): readonly [number, number, number] => [
  2 * (qx * qz + qw * qy),
  2 * (qy * qz - qw * qx),
  uprightness({ qx, qy }),
];

/**
 * The attitude whose thrust axis leans as far as `tilt` says, turned to a heading.
 * @param tilt cosine and sine of half the lean about a level axis: [cos, sin · x, sin · y]
 * @param heading of the nose, radians counterclockwise from east
 */
export function leanedAndTurned(
  [tw, tx, ty]: readonly [number, number, number],
  heading: number,
): Quaternion {
  const [hw, hz] = [Math.cos(heading / 2), Math.sin(heading / 2)];
  return { qw: tw * hw, qx: tx * hw + ty * hz, qy: ty * hw - tx * hz, qz: tw * hz };
}

/** a⁻¹ · b: the turn that is left from one attitude to another, in body axes. */
export const turnLeft = (a: Quaternion, b: Quaternion): Quaternion => ({
  qw: a.qw * b.qw + a.qx * b.qx + a.qy * b.qy + a.qz * b.qz,
  qx: a.qw * b.qx - a.qx * b.qw - a.qy * b.qz + a.qz * b.qy,
  qy: a.qw * b.qy + a.qx * b.qz - a.qy * b.qw - a.qz * b.qx,
  qz: a.qw * b.qz - a.qx * b.qy + a.qy * b.qx - a.qz * b.qw,
});

/** a · b: first b, then a. */
export const turnedBy = (a: Quaternion, b: Quaternion): Quaternion => ({
  qw: a.qw * b.qw - a.qx * b.qx - a.qy * b.qy - a.qz * b.qz,
  qx: a.qw * b.qx + a.qx * b.qw + a.qy * b.qz - a.qz * b.qy,
  qy: a.qw * b.qy - a.qx * b.qz + a.qy * b.qw + a.qz * b.qx,
  qz: a.qw * b.qz + a.qx * b.qy - a.qy * b.qx + a.qz * b.qw,
});

/** A turn about one axis, rad, counter-clockwise seen against it. */
export const turnAbout = (axis: 'qx' | 'qy' | 'qz', rad: number): Quaternion => ({
  ...{ qw: Math.cos(rad / 2), qx: 0, qy: 0, qz: 0 },
  [axis]: Math.sin(rad / 2),
});
