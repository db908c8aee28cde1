import { G_MPS2 } from '../reconstruct/constants';
import { type Rotation, rotationOf } from '../geometry/rotation';
import type { CraftModel } from './craft-model';
import { flowFactor, inducedVelocity } from './rotor';

/** Where a craft is and how it moves. World axes x east, y north, z up; body axes x ahead, y left, z up. */
export interface BodyState {
  px: number;
  py: number;
  pz: number;
  vx: number;
  vy: number;
  vz: number;
  /** Attitude, body to world, a unit quaternion. */
  qw: number;
  qx: number;
  qy: number;
  qz: number;
  /** Turn rates about the body axes, rad/s. */
  wx: number;
  wy: number;
  wz: number;
}

/** @param headingDeg of the nose, clockwise from north */
export function standing(px: number, py: number, pz: number, headingDeg: number): BodyState {
  const half = ((90 - headingDeg) * Math.PI) / 360;
  return {
    px,
    py,
    pz,
    vx: 0,
    vy: 0,
    vz: 0,
    qw: Math.cos(half),
    qx: 0,
    qy: 0,
    qz: Math.sin(half),
    wx: 0,
    wy: 0,
    wz: 0,
  };
}

/** What acts on the craft for the length of one step. */
export interface Acting {
  /** Turning speed of each rotor over its full speed, 0 to 1. */
  readonly rotorSpeed: Float64Array;
  /** Speed at which each rotor pushes the air down, m/s, as `inflow` found it. */
  readonly induced: Float64Array;
  /** Share of its thrust that each rotor keeps in wash and wake, about 1. */
  readonly kept: Float64Array;
  windX: number;
  windY: number;
  windZ: number;
  /** Share of the full static thrust that the pack still gives. */
  power: number;
  /** Thrust over thrust out of ground effect. */
  ground: number;
  /** Side load and twist of churned air, m/s² and rad/s². */
  readonly shake: Float64Array;
  /** What the rotors did in the last look at them. */
  readonly rotors: RotorsNow;
}

/** What the rotors do together. */
export interface RotorsNow {
  /** N, all together. */
  thrustN: number;
  /** Moments about the body axes, N m. */
  rollNm: number;
  pitchNm: number;
  yawNm: number;
  /** Mean induced velocity, m/s. */
  inducedMps: number;
  /** Ideal power, W. */
  powerW: number;
}
export const rotorsAtRest = (): RotorsNow => ({
  thrustN: 0,
  rollNm: 0,
  pitchNm: 0,
  yawNm: 0,
  inducedMps: 0,
  powerW: 0,
});

/**
 * Finds the induced velocity of each rotor in the air that it meets itself; held until it is looked at again.
 */
export function inflow(craft: CraftModel, s: BodyState, acting: Acting): void {
  const { wx, wy, wz } = s;
  const air = airspeedInBody(rotationOf(s, ROTATION), s, acting, AIRSPEED);
  const ux = air[0]!,
    uy = air[1]!,
    uz = air[2]!;
  const rootTw = Math.sqrt(craft.thrustToWeight * acting.power);
  for (let i = 0; i < craft.rotors; i += 1) {
    const rx = craft.rotorX[i]!,
      ry = craft.rotorY[i]!;
    const vh = craft.inducedMps * rootTw * Math.max(1e-3, acting.rotorSpeed[i]!);
    const acrossX = ux - wz * ry,
      acrossY = uy + wz * rx;
    acting.induced[i] = inducedVelocity(
      vh,
      Math.sqrt(acrossX * acrossX + acrossY * acrossY),
      uz + wx * ry - wy * rx,
    );
  }
}

const RATES = 13;
/** Share of the weight below which rotors no longer drag as they do in flight. Ours. */
const STILL_PUSHING = 0.25;
/** Rotation and airspeed of the step that is being worked out; nothing is kept in them. */
const ROTATION: Rotation = new Float64Array(9);
const AIRSPEED = new Float64Array(3);

/** Speed of the craft through the air in body axes, m/s. @param out receives it */
export function airspeedInBody(r: Rotation, s: BodyState, acting: Acting, out: Float64Array): Float64Array {
  const ax = s.vx - acting.windX,
    ay = s.vy - acting.windY,
    az = s.vz - acting.windZ;
  out[0] = r[0]! * ax + r[3]! * ay + r[6]! * az;
  out[1] = r[1]! * ax + r[4]! * ay + r[7]! * az;
  out[2] = r[2]! * ax + r[5]! * ay + r[8]! * az;
  return out;
}

/** Adds up what the rotors do, each in the air that it meets itself, into `acting.rotors`. */
function workRotors(craft: CraftModel, { wx, wy }: BodyState, acting: Acting, uz: number): void {
  const { rotors, rotorX, rotorY, spin, fullThrustN, thrustToWeight, inducedMps, tipMps } = craft;
  let thrust = 0,
    mx = 0,
    my = 0,
    mz = 0,
    induced = 0,
    power = 0;
  const rootTw = Math.sqrt(thrustToWeight * acting.power);
  for (let i = 0; i < rotors; i += 1) {
    const speed = acting.rotorSpeed[i]!;
    if (speed <= 1e-3) continue;
    const own = fullThrustN * acting.power * speed * speed;
    // Speed over that of a hover: the tip and the induced velocity both go with it.
    const ratio = rootTw * speed;
    const climb = uz + wx * rotorY[i]! - wy * rotorX[i]!;
    const vi = acting.induced[i]!;
    const t =
      own * flowFactor(climb + vi, inducedMps * ratio, tipMps * ratio) * acting.kept[i]! * acting.ground;
    thrust += t;
    mx += rotorY[i]! * t;
    my -= rotorX[i]! * t;
    mz += spin[i]! * craft.torquePerThrustM * own;
    induced += vi;
    power += t * Math.max(0, climb + vi);
  }
  const now = acting.rotors;
  now.thrustN = thrust;
  now.rollNm = mx;
  now.pitchNm = my;
  now.yawNm = mz;
  now.inducedMps = induced / rotors;
  now.powerW = power;
}

/**
 * Drag over speed, 1/s. Rotors that push also drag, in proportion to speed; what is left of that with the motors off is
 * a body that falls.
 */
function dragPerS({ massKg, dragTimeS, terminalMps }: CraftModel, thrustN: number, speedMps: number): number {
  const push = thrustN / (STILL_PUSHING * massKg * G_MPS2);
  const pushed = 1 - Math.exp(-push * push);
  return pushed / dragTimeS + ((1 - pushed) * G_MPS2 * speedMps) / (terminalMps * terminalMps);
}

/**
 * Rates of change of position, velocity, attitude and turn rates: Newton and Euler for a rigid body, with
 * each rotor in the air that it meets itself, and linear rotor drag
 * in body axes (Faessler et al., 2018), which goes over into the drag of a falling body as the motors stop.
 * @param out receives thirteen rates in the order of BodyState
 */
export function rates(craft: CraftModel, s: BodyState, acting: Acting, out: Float64Array): void {
  const { qw, qx, qy, qz, wx, wy, wz } = s;
  const { massKg, inertiaX, inertiaY, inertiaZ } = craft;
  const r = rotationOf(s, ROTATION);
  const air = airspeedInBody(r, s, acting, AIRSPEED);
  const ux = air[0]!,
    uy = air[1]!,
    uz = air[2]!;
  workRotors(craft, s, acting, uz);
  const { thrustN, rollNm, pitchNm, yawNm } = acting.rotors;
  const drag = dragPerS(craft, thrustN, Math.hypot(ux, uy, uz));
  const fx = -drag * ux,
    fy = -drag * uy,
    fz = thrustN / massKg - drag * uz;
  out[0] = s.vx;
  out[1] = s.vy;
  out[2] = s.vz;
  out[3] = r[0]! * fx + r[1]! * fy + r[2]! * fz + acting.shake[0]!;
  out[4] = r[3]! * fx + r[4]! * fy + r[5]! * fz + acting.shake[1]!;
  out[5] = r[6]! * fx + r[7]! * fy + r[8]! * fz - G_MPS2 + acting.shake[2]!;
  out[6] = 0.5 * (-qx * wx - qy * wy - qz * wz);
  out[7] = 0.5 * (qw * wx + qy * wz - qz * wy);
  out[8] = 0.5 * (qw * wy - qx * wz + qz * wx);
  out[9] = 0.5 * (qw * wz + qx * wy - qy * wx);
  out[10] = (rollNm - (inertiaZ - inertiaY) * wy * wz) / inertiaX + acting.shake[3]!;
  out[11] = (pitchNm - (inertiaX - inertiaZ) * wz * wx) / inertiaY + acting.shake[4]!;
  out[12] = (yawNm - (inertiaY - inertiaX) * wx * wy) / inertiaZ;
}

/**
 * Moves a body on by steps of one length: the classical Runge–Kutta method of order 4, what acts being held
 * through the step.
 */
export class Integrator {
  private readonly k1 = new Float64Array(RATES);
  private readonly k2 = new Float64Array(RATES);
  private readonly k3 = new Float64Array(RATES);
  private readonly k4 = new Float64Array(RATES);
  private readonly at: BodyState = standing(0, 0, 0, 0);

  constructor(private readonly craft: CraftModel) {}

  step(s: BodyState, acting: Acting, dt: number): void {
    const { craft, k1, k2, k3, k4 } = this;
    rates(craft, s, acting, k1);
    this.shift(s, k1, dt / 2);
    rates(craft, this.at, acting, k2);
    this.shift(s, k2, dt / 2);
    rates(craft, this.at, acting, k3);
    this.shift(s, k3, dt);
    rates(craft, this.at, acting, k4);
    const sixth = dt / 6;
    const add = (i: number) => sixth * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
    s.px += add(0);
    s.py += add(1);
    s.pz += add(2);
    s.vx += add(3);
    s.vy += add(4);
    s.vz += add(5);
    s.qw += add(6);
    s.qx += add(7);
    s.qy += add(8);
    s.qz += add(9);
    s.wx += add(10);
    s.wy += add(11);
    s.wz += add(12);
    const norm = 1 / Math.sqrt(s.qw * s.qw + s.qx * s.qx + s.qy * s.qy + s.qz * s.qz);
    s.qw *= norm;
    s.qx *= norm;
    s.qy *= norm;
    s.qz *= norm;
  }

  private shift(s: BodyState, k: Float64Array, dt: number): void {
    const { at } = this;
    at.px = s.px + dt * k[0]!;
    at.py = s.py + dt * k[1]!;
    at.pz = s.pz + dt * k[2]!;
    at.vx = s.vx + dt * k[3]!;
    at.vy = s.vy + dt * k[4]!;
    at.vz = s.vz + dt * k[5]!;
    at.qw = s.qw + dt * k[6]!;
    at.qx = s.qx + dt * k[7]!;
    at.qy = s.qy + dt * k[8]!;
    at.qz = s.qz + dt * k[9]!;
    at.wx = s.wx + dt * k[10]!;
    at.wy = s.wy + dt * k[11]!;
    at.wz = s.wz + dt * k[12]!;
  }
}
