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
import { leanedAndTurned, noseAngleRad, turnLeft, uprightness } from '../../geometry/rotation';
import type { Wanted } from '../mixer';
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

/** What the controller knows of its craft. */
export interface Sensed {
  readonly body: BodyState;
  /** Position as the fix says it, m. */
  seenX: number;
  seenY: number;
  /** Share of the full static thrust that the pack still gives. */
  power: number;
}

/** Cosine and sine of the way that counts as ahead, counterclockwise from east. */
type Way = readonly [number, number];

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

  /** @param dt length of a step, s */
  constructor(
    private readonly craft: CraftModel,
    private readonly dt: number,
    private readonly trim: Trim = { ahead: 0, right: 0 },
  ) {}

  /** Moves on by one step. @param out receives what is asked of the mixer */
  step(sensed: Sensed, sticks: StickPosition, now: ModeNow, out: Wanted): void {
    const { craft } = this;
    const { body: s, power } = sensed;
    const fullN = craft.fullThrustN * craft.rotors * power;
    if (now.mode === 'rate') {
      this.letGo();
      out.thrustN = fullN * this.throttleShare(sticks.throttle);
      const { roll, yaw } = FULL_RATE;
      this.turn(s, [roll * sticks.roll, roll * sticks.pitch, -yaw * sticks.yaw], out);
      return;
    }
    this.lean(sensed, sticks, now);
    if (now.mode === 'self-level') {
      out.thrustN = fullN * this.throttleShare(sticks.throttle);
      this.heldHeight = null;
    } else out.thrustN = this.holdHeight(s, sticks.throttle, now.setting, fullN);
    this.level(s, sticks.yaw, now.setting, out);
  }

  /** Brings the lean toward the push that sticks, hold or wind ask for. */
  private lean(sensed: Sensed, sticks: StickPosition, now: ModeNow): void {
    const { dt } = this;
    const s = sensed.body;
    // Sticks point where the nose does, or where the pilot looks.
    const ahead =
      now.pilotHeadingDeg === null ? noseAngleRad(s) : ((90 - now.pilotHeadingDeg) * Math.PI) / 180;
    const way: Way = [Math.cos(ahead), Math.sin(ahead)];
    const most = G_MPS2 * Math.tan(this.craft.leanRad[now.setting]);
    let [tiltX, tiltY] =
      now.mode === 'position-hold' && now.hold
        ? this.pushToSpeed(s, this.wantedSpeed(sensed, sticks, now.setting, way), most)
        : this.pushBySticks(s, sticks, now.setting, way);
    const size = Math.hypot(tiltX, tiltY);
    if (size > most) {
      tiltX *= most / size;
      tiltY *= most / size;
    }
    // A lean grows no faster than hands and motors let it.
    const grow = LEAN_RATE_RADPS * G_MPS2 * dt;
    this.leanX += clamp(tiltX - this.leanX, grow);
    this.leanY += clamp(tiltY - this.leanY, grow);
  }

  /** The push toward a wanted speed, m/s², with what was learnt of the wind. */
  private pushToSpeed(s: BodyState, [wx, wy]: readonly [number, number], most: number): [number, number] {
    const [ex, ey] = [wx - s.vx, wy - s.vy];
    const push: [number, number] = [VELOCITY_GAIN * ex + this.gatheredX, VELOCITY_GAIN * ey + this.gatheredY];
    if (Math.hypot(push[0], push[1]) < most) {
      this.gatheredX += VELOCITY_GATHERS * ex * this.dt;
      this.gatheredY += VELOCITY_GATHERS * ey * this.dt;
    }
    return push;
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
  private pushBySticks(
    s: BodyState,
    sticks: StickPosition,
    setting: SpeedSetting,
    [cos, sin]: Way,
  ): [number, number] {
    const { craft, trim } = this;
    this.heldX = null;
    [this.gatheredX, this.gatheredY] = [0, 0];
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
    { body: s, seenX, seenY }: Sensed,
    sticks: StickPosition,
    setting: SpeedSetting,
    [cos, sin]: Way,
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

  private holdHeight(s: BodyState, throttle: number, setting: SpeedSetting, fullN: number): number {
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
      (this.craft.massKg * (G_MPS2 + CLIMB_GAIN * error + this.gatheredClimb)) /
      Math.max(0.35, uprightness(s));
    const within = Math.min(fullN, Math.max(0.1 * fullN, lift));
    if (within === lift) this.gatheredClimb = clamp(this.gatheredClimb + CLIMB_GATHERS * error * this.dt, 5);
    return within;
  }

  /** Turns the thrust to where it pushes as wanted, and the nose to where it should point. */
  private level(s: BodyState, yaw: number, setting: SpeedSetting, out: Wanted): void {
    const heading = noseAngleRad(s);
    if (Math.abs(yaw) > DEAD) this.headingRad = null;
    else this.headingRad ??= heading;
    const yawRate = -YAW_RATE[setting] * yaw;
    const point = this.headingRad ?? heading + yawRate * this.dt;
    // The wanted thrust axis, and the shortest way to it from upright; then the heading.
    const norm = 1 / Math.hypot(this.leanX, this.leanY, G_MPS2);
    const [nx, ny, nz] = [this.leanX * norm, this.leanY * norm, G_MPS2 * norm];
    const tw = Math.sqrt((1 + nz) / 2);
    const [tx, ty] = [-ny / (2 * tw), nx / (2 * tw)];
    const left = turnLeft(s, leanedAndTurned([tw, tx, ty], point));
    const sign = left.qw < 0 ? -2 : 2;
    const yawWanted = this.headingRad === null ? yawRate : clamp(sign * 2 * left.qz, 2);
    this.turn(s, [sign * ATTITUDE_GAIN * left.qx, sign * ATTITUDE_GAIN * left.qy, yawWanted], out);
  }

  /** Moments that bring about the turn rates wanted, rad/s. */
  private turn(
    s: BodyState,
    [rollRate, pitchRate, yawRate]: readonly [number, number, number],
    out: Wanted,
  ): void {
    const { inertiaX, inertiaY, inertiaZ } = this.craft;
    out.rollNm = inertiaX * RATE_GAIN * (rollRate - s.wx) + (inertiaZ - inertiaY) * s.wy * s.wz;
    out.pitchNm = inertiaY * RATE_GAIN * (pitchRate - s.wy) + (inertiaX - inertiaZ) * s.wz * s.wx;
    out.yawNm = inertiaZ * YAW_RATE_GAIN * (yawRate - s.wz) + (inertiaY - inertiaX) * s.wx * s.wy;
  }
}
