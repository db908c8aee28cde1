import type { SpeedSetting } from '../../vocabulary/craft-facts';
import type { FlightMode } from '../../vocabulary/flying';
import { G_MPS2 } from '../../reconstruct/constants';
import { LEAN_RATE_RADPS } from '../../reconstruct/craft-stopping';
import {
  LATCH_BELOW_MPS,
  POSITION_GAIN,
  VELOCITY_GAIN,
  VELOCITY_GATHERS,
} from '../../reconstruct/released-stop';
import type { BodyState } from '../rigid-body';
import type { CraftModel } from '../craft-model';

/** Sticks by axis, −1 to 1: throttle up, yaw right, pitch ahead, roll right. */
export interface StickPosition {
  readonly throttle: number;
  readonly yaw: number;
  readonly pitch: number;
  readonly roll: number;
}
export const CENTRED: StickPosition = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };

/** Flight modes in which a pilot steers: all but a programmed flight. */
export type PilotedMode = Exclude<FlightMode, 'programmed'>;
export const PILOTED_MODES: readonly PilotedMode[] = ['rate', 'self-level', 'height-hold', 'position-hold'];

export interface ModeNow {
  readonly mode: PilotedMode;
  readonly setting: SpeedSetting;
  /**
   * Sticks as the pilot stands, whatever the nose does; the heading in degrees that counts as ahead. Null:
   * off.
   */
  readonly pilotHeadingDeg: number | null;
  /** Whether position can be held now: hold is there and the fix is good. */
  readonly hold: boolean;
}

/** A push that nobody asked for, m/s²: real craft are never trimmed exactly. */
export interface Trim {
  readonly ahead: number;
  readonly right: number;
}

/** What the controller asks of the mixer. N and N m. */
export interface Wanted {
  thrustN: number;
  rollNm: number;
  pitchNm: number;
  yawNm: number;
}

/** Loops, each about four times as fast as the one around it, 1/s. Ours. */
const RATE_GAIN = 18;
const YAW_RATE_GAIN = 8;
const ATTITUDE_GAIN = 6;
const CLIMB_GAIN = 3;
const CLIMB_GATHERS = 1.2;
const HEIGHT_GAIN = 1;

/** What a stick at its end asks for in rate mode, rad/s. */
export const FULL_RATE = { roll: 7, yaw: 3.5 } as const;
export const YAW_RATE: Readonly<Record<SpeedSetting, number>> = { slow: 0.9, normal: 1.6, fast: 2.4 };
export const CLIMB_MPS: Readonly<Record<SpeedSetting, number>> = { slow: 1.5, normal: 3, fast: 5 };
export const SINK_MPS: Readonly<Record<SpeedSetting, number>> = { slow: 1, normal: 2.5, fast: 4 };
const DEAD = 0.03;

/**
 * Where a throttle without height hold stands for a share of full thrust: the stick is rotor speed, and
 * thrust goes with its square.
 */
export const throttleStick = (thrustShare: number): number => 2 * Math.sqrt(thrustShare) - 1;

const clamp = (value: number, most: number): number => (value > most ? most : value < -most ? -most : value);

/**
 * The flight controller. Rate: sticks are turn rates. Self-level: sticks are leans, throttle is rotor speed.
 * Height hold: throttle is a climb rate. Position hold: sticks are speeds, and
 * let go it brakes first and then holds the place.
 * Source of the attitude law: ω_d = 2 k sgn(q_w) q_xyz, Brescianini, Hehn and D'Andrea, ETH Zürich 2013.
 */
export class Controller {
  private gatheredX = 0;
  private gatheredY = 0;
  private gatheredClimb = 0;
  private heldHeight: number | null = null;
  private heldX: number | null = null;
  private heldY = 0;
  private headingRad: number | null = null;
  private leanX = 0;
  private leanY = 0;

  constructor(
    private readonly craft: CraftModel,
    private readonly trim: Trim = { ahead: 0, right: 0 },
  ) {}

  /** @param seenX @param seenY position as the fix says it, m */
  step(
    s: BodyState,
    sticks: StickPosition,
    now: ModeNow,
    seenX: number,
    seenY: number,
    power: number,
    dt: number,
    out: Wanted,
  ): void {
    const { craft } = this;
    const { setting } = now;
    const heading = Math.atan2(2 * (s.qx * s.qy + s.qw * s.qz), 1 - 2 * (s.qy * s.qy + s.qz * s.qz));
    const upright = 1 - 2 * (s.qx * s.qx + s.qy * s.qy);
    const fullN = craft.fullThrustN * craft.rotors * power;
    if (now.mode === 'rate') {
      this.letGo();
      out.thrustN = fullN * this.throttleShare(sticks.throttle);
      this.turn(
        s,
        FULL_RATE.roll * sticks.roll,
        FULL_RATE.roll * sticks.pitch,
        -FULL_RATE.yaw * sticks.yaw,
        out,
      );
      return;
    }
    // Sticks point where the nose does, or where the pilot looks.
    const ahead = now.pilotHeadingDeg === null ? heading : ((90 - now.pilotHeadingDeg) * Math.PI) / 180;
    const [cos, sin] = [Math.cos(ahead), Math.sin(ahead)];
    let [tiltX, tiltY] = [0, 0];
    const most = G_MPS2 * Math.tan(craft.leanRad[setting]);
    if (now.mode === 'position-hold' && now.hold) {
      const [wx, wy] = this.wantedSpeed(s, sticks, setting, cos, sin, seenX, seenY);
      const [ex, ey] = [wx - s.vx, wy - s.vy];
      tiltX = VELOCITY_GAIN * ex + this.gatheredX;
      tiltY = VELOCITY_GAIN * ey + this.gatheredY;
      const size = Math.hypot(tiltX, tiltY);
      if (size < most) {
        this.gatheredX += VELOCITY_GATHERS * ex * dt;
        this.gatheredY += VELOCITY_GATHERS * ey * dt;
      }
    } else {
      this.heldX = null;
      [this.gatheredX, this.gatheredY] = [0, 0];
      [tiltX, tiltY] = this.wantedPush(s, sticks, setting, [cos, sin]);
    }
    const size = Math.hypot(tiltX, tiltY);
    if (size > most) {
      tiltX *= most / size;
      tiltY *= most / size;
    }
    // A lean grows no faster than hands and motors let it.
    const grow = LEAN_RATE_RADPS * G_MPS2 * dt;
    this.leanX += clamp(tiltX - this.leanX, grow);
    this.leanY += clamp(tiltY - this.leanY, grow);

    out.thrustN =
      now.mode === 'self-level'
        ? fullN * this.throttleShare(sticks.throttle)
        : this.holdHeight(s, sticks.throttle, setting, upright, fullN, dt);
    if (now.mode === 'self-level') this.heldHeight = null;
    this.level(s, sticks.yaw, setting, heading, out, dt);
  }

  /** Throttle is rotor speed over full speed; thrust goes with its square. */
  private throttleShare(stick: number): number {
    const share = (stick + 1) / 2;
    return share * share;
  }

  private letGo(): void {
    [this.heldHeight, this.heldX, this.headingRad] = [null, null, null];
    [this.gatheredX, this.gatheredY, this.gatheredClimb, this.leanX, this.leanY] = [0, 0, 0, 0, 0];
  }

  /** Leans that were asked for, as pushes, m/s²; none drives it on beyond the top speed of its setting. */
  private wantedPush(
    s: BodyState,
    sticks: StickPosition,
    setting: SpeedSetting,
    [cos, sin]: readonly [number, number],
  ): [number, number] {
    const { craft, trim } = this;
    const full = craft.leanRad[setting];
    const [along, aside] = [
      Math.tan(full * sticks.pitch) * G_MPS2 + trim.ahead,
      Math.tan(full * sticks.roll) * G_MPS2 + trim.right,
    ];
    const [x, y] = [along * cos + aside * sin, along * sin - aside * cos];
    const size = Math.hypot(x, y);
    const speed = size === 0 ? 0 : (x * s.vx + y * s.vy) / size;
    const top = craft.topSpeedMps[setting];
    const most = Math.max(0, top / craft.dragTimeS + VELOCITY_GAIN * (top - speed));
    return size > most ? [(x * most) / size, (y * most) / size] : [x, y];
  }

  private wantedSpeed(
    s: BodyState,
    sticks: StickPosition,
    setting: SpeedSetting,
    cos: number,
    sin: number,
    seenX: number,
    seenY: number,
  ): [number, number] {
    const top = this.craft.topSpeedMps[setting];
    if (Math.abs(sticks.pitch) > DEAD || Math.abs(sticks.roll) > DEAD) {
      this.heldX = null;
      const [along, aside] = [top * sticks.pitch, top * sticks.roll];
      return [along * cos + aside * sin, along * sin - aside * cos];
    }
    if (this.heldX === null) {
      if (Math.hypot(s.vx, s.vy) > LATCH_BELOW_MPS) return [0, 0];
      [this.heldX, this.heldY] = [seenX, seenY];
    }
    return [clamp(POSITION_GAIN * (this.heldX - seenX), 2), clamp(POSITION_GAIN * (this.heldY - seenY), 2)];
  }

  private holdHeight(
    s: BodyState,
    throttle: number,
    setting: SpeedSetting,
    upright: number,
    fullN: number,
    dt: number,
  ): number {
    let wanted: number;
    if (Math.abs(throttle) > DEAD) {
      this.heldHeight = null;
      wanted = throttle > 0 ? CLIMB_MPS[setting] * throttle : SINK_MPS[setting] * throttle;
    } else {
      if (this.heldHeight === null && Math.abs(s.vz) < LATCH_BELOW_MPS) this.heldHeight = s.pz;
      wanted = this.heldHeight === null ? 0 : clamp(HEIGHT_GAIN * (this.heldHeight - s.pz), 1.5);
    }
    const error = wanted - s.vz;
    const lift =
      (this.craft.massKg * (G_MPS2 + CLIMB_GAIN * error + this.gatheredClimb)) / Math.max(0.35, upright);
    const within = Math.min(fullN, Math.max(0.1 * fullN, lift));
    if (within === lift) this.gatheredClimb = clamp(this.gatheredClimb + CLIMB_GATHERS * error * dt, 5);
    return within;
  }

  /** Turns the thrust to where it pushes as wanted, and the nose to where it should point. */
  private level(
    s: BodyState,
    yaw: number,
    setting: SpeedSetting,
    heading: number,
    out: Wanted,
    dt: number,
  ): void {
    if (Math.abs(yaw) > DEAD) this.headingRad = null;
    else this.headingRad ??= heading;
    const yawRate = -YAW_RATE[setting] * yaw;
    const point = this.headingRad ?? heading + yawRate * dt;
    // The wanted thrust axis, and the shortest way to it from upright; then the heading.
    const norm = 1 / Math.hypot(this.leanX, this.leanY, G_MPS2);
    const [nx, ny, nz] = [this.leanX * norm, this.leanY * norm, G_MPS2 * norm];
    const tw = Math.sqrt((1 + nz) / 2);
    const [tx, ty] = [-ny / (2 * tw), nx / (2 * tw)];
    const [hw, hz] = [Math.cos(point / 2), Math.sin(point / 2)];
    const [dw, dx, dy, dz] = [tw * hw, tx * hw + ty * hz, ty * hw - tx * hz, tw * hz];
    // q⁻¹ q_d
    const ew = s.qw * dw + s.qx * dx + s.qy * dy + s.qz * dz;
    const sign = ew < 0 ? -2 : 2;
    const ex = s.qw * dx - s.qx * dw - s.qy * dz + s.qz * dy;
    const ey = s.qw * dy + s.qx * dz - s.qy * dw - s.qz * dx;
    const ez = s.qw * dz - s.qx * dy + s.qy * dx - s.qz * dw;
    const yawWanted = this.headingRad === null ? yawRate : clamp(sign * 2 * ez, 2);
    this.turn(s, sign * ATTITUDE_GAIN * ex, sign * ATTITUDE_GAIN * ey, yawWanted, out);
  }

  private turn(s: BodyState, rollRate: number, pitchRate: number, yawRate: number, out: Wanted): void {
    const { inertiaX, inertiaY, inertiaZ } = this.craft;
    out.rollNm = inertiaX * RATE_GAIN * (rollRate - s.wx) + (inertiaZ - inertiaY) * s.wy * s.wz;
    out.pitchNm = inertiaY * RATE_GAIN * (pitchRate - s.wy) + (inertiaX - inertiaZ) * s.wz * s.wx;
    out.yawNm = inertiaZ * YAW_RATE_GAIN * (yawRate - s.wz) + (inertiaY - inertiaX) * s.wx * s.wy;
  }
}
