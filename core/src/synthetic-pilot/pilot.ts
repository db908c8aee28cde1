import {
  CENTRED,
  CLIMB_MPS,
  FULL_RATE,
  type PilotedMode,
  SINK_MPS,
  type StickPosition,
  throttleStick,
  YAW_RATE,
} from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import type { Random } from '../simulator/random';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import { G_MPS2 } from '../reconstruct/constants';
import { type Exercise, LEAD_DISTANCE_M, type Stage } from '../assessment/exercise';
import { bearing, offsetFromPath, type PathOffset, lengthOf } from '../geometry/path';
import { clockwiseOf, noseWanted, pilotAt, type Referee, walkerAt } from '../assessment/referee';
import { headingOf, type Sample, thrustAxis, turned } from '../flight-log/flight-log';
import type { Habit } from './habits';

/** What a pair of hands can do. */
export interface Skill {
  /** From seeing to moving the stick, s. */
  readonly reactionS: number;
  /** How hard it corrects; 1 is steady. */
  readonly gain: number;
  /** Until a lost hold is noticed, s. */
  readonly noticesS: number;
  /** Shake of the sticks, as a share of full travel. */
  readonly tremor: number;
}
export const SKILLED: Skill = { reactionS: 0.22, gain: 1, noticesS: 0.8, tremor: 0.01 };

/** How often hands decide anew, s. */
export const DECIDES_S = 0.02;
const BRAKE_MPS2 = 1.6;
const STICK_PER_S = 5;
const TREMOR_S = 0.15;
/** With position hold a small wander is left alone. */
const LEAVES_M = 0.35;
const REST_STICK = 0.03;
const NUDGE = 0.045;
const FRAME_OFF_M = 0.85;
/** How soon hands bring a lean about in rate mode, 1/s. */
const LEAN_GAIN = 6;

type Vector = readonly [number, number, number];
const clamp = (value: number, most: number): number => Math.max(-most, Math.min(most, value));
const DEGREE = Math.PI / 180;

/** What hands see: the craft as it was a moment ago, and which part of the drill is on. */
export interface Perception {
  readonly s: Sample;
  readonly referee: Referee;
  readonly mode: PilotedMode;
  readonly setting: SpeedSetting;
  readonly holds: boolean;
  readonly relative: boolean;
}

/**
 * Hands that fly a drill in a closed loop: they see late, correct what they see, shake a little, and have
 * habits.
 */
export class SyntheticPilot {
  private sticks: Record<keyof StickPosition, number> = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };
  private readonly shake: Record<keyof StickPosition, number> = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };
  private meant: StickPosition = CENTRED;
  private leanX = 0;
  private leanY = 0;
  private lift = 0;
  /** Sticks given since what is seen now, in rate mode. */
  private readonly given: Pick<StickPosition, 'pitch' | 'roll'>[] = [];
  private stageAt = -1;
  private stageS = 0;
  private pulseS = 0;
  private lookedS = 0;

  constructor(
    private readonly craft: CraftModel,
    private readonly course: Exercise,
    private readonly skill: Skill,
    private readonly habits: ReadonlySet<Habit>,
    private readonly random: Random,
  ) {}

  /** The sticks for the next DECIDES_S. */
  decide(seen: Perception): StickPosition {
    const { referee, s } = seen;
    if (referee.at !== this.stageAt) {
      this.stageAt = referee.at;
      this.stageS = s.t;
      this.pulseS = 0;
      this.lookedS = s.t;
    }
    const meant = this.wanted(seen);
    this.meant = meant;
    const letsGo = referee.stage.hands === 'off';
    const wanted =
      seen.mode !== 'rate' || (letsGo && meant.pitch === 0 && meant.roll === 0)
        ? meant
        : letsGo
          ? { ...this.sticks }
          : this.asRates(seen, meant);
    for (const axis of ['throttle', 'yaw', 'pitch', 'roll'] as const) {
      const keeps = Math.exp(-DECIDES_S / TREMOR_S);
      this.shake[axis] =
        keeps * this.shake[axis] + Math.sqrt(1 - keeps * keeps) * this.skill.tremor * this.random.normal();
      const to = clamp(wanted[axis] === 0 ? 0 : wanted[axis] + this.shake[axis], 1);
      this.sticks[axis] += clamp(to - this.sticks[axis], STICK_PER_S * DECIDES_S);
    }
    this.given.push({ pitch: this.sticks.pitch, roll: this.sticks.roll });
    if (this.given.length > this.skill.reactionS / DECIDES_S) this.given.shift();
    return { ...this.sticks };
  }

  /**
   * Leans asked for, as the turn rates that bring them about: what is seen is old, and hands know what they
   * have given since.
   */
  private asRates({ s, setting }: Perception, { throttle, yaw, pitch, roll }: StickPosition): StickPosition {
    const [nx, ny, nz] = thrustAxis(s);
    const toward = headingOf(s) * DEGREE;
    const since = (axis: 'pitch' | 'roll') =>
      FULL_RATE.roll * DECIDES_S * this.given.reduce((sum, each) => sum + each[axis], 0);
    const rate = (lean: number, is: number, axis: 'pitch' | 'roll') =>
      clamp((LEAN_GAIN * (lean * this.craft.leanRad[setting] - is - since(axis))) / FULL_RATE.roll, 1);
    return {
      throttle,
      yaw: (yaw * YAW_RATE[setting]) / FULL_RATE.yaw,
      pitch: rate(pitch, Math.atan2(nx * Math.sin(toward) + ny * Math.cos(toward), nz), 'pitch'),
      roll: rate(roll, Math.atan2(nx * Math.cos(toward) - ny * Math.sin(toward), nz), 'roll'),
    };
  }

  private has(habit: Habit): boolean {
    return this.habits.has(habit);
  }

  private wanted(seen: Perception): StickPosition {
    const { s, referee } = seen;
    const { stage } = referee;
    const at = this.beside(stage, s, referee);
    const inPart = s.t - referee.beganS;
    switch (stage.hands) {
      case 'off':
        if (this.has('fights-on'))
          return {
            throttle: 0.6,
            yaw: 0,
            pitch: -0.7 * Math.sign(Math.sin(6 * s.t)),
            roll: 0.6 * Math.sign(Math.sin(5 * s.t)),
          };
        if (inPart < this.skill.reactionS + 0.05) return this.meant;
        return { throttle: this.hoverThrottle(seen, 0), yaw: 0, pitch: 0, roll: 0 };
      case 'stop':
        return seen.mode === 'position-hold' && seen.holds
          ? inPart < this.skill.reactionS + 0.05
            ? this.meant
            : { throttle: 0, yaw: 0, pitch: 0, roll: 0 }
          : this.flyWith(seen, stage, at, [0, 0, 0], 0);
      case 'sink':
        return { throttle: -1, yaw: 0, pitch: 0, roll: 0 };
      case 'lean':
        return {
          throttle: this.throttleFor(seen, stage, at),
          yaw: this.yawFor(seen, stage, at),
          pitch: clamp((this.leanAsked(stage) * DEGREE * 1.02) / this.craft.leanRad[seen.setting], 1),
          roll: 0,
        };
      case 'answer':
        return this.flyWith(seen, stage, at, [0, 0, 0], 0);
      case 'take-over':
        if (this.has('watches-the-return') || inPart < 1) return { throttle: 0, yaw: 0, pitch: 0, roll: 0 };
        return { throttle: 0, yaw: 0, pitch: 0.35, roll: 0 };
      case 'find-nose':
        return this.findNose(seen, stage, at);
      case 'recover':
        return this.recover(seen);
      case 'nose-first': {
        const bring = bearing(at.nearest[0] - s.x, at.nearest[1] - s.y);
        const ahead =
          at.bearingDeg +
          clamp(Math.hypot(at.nearest[0] - s.x, at.nearest[1] - s.y) * 40 * this.skill.gain, 50) *
            Math.sign(turned(at.bearingDeg, bring));
        const off = turned(headingOf(s), ahead);
        const speed = stage.speedMps * Math.max(0.25, Math.cos(Math.min(90, Math.abs(off)) * DEGREE));
        return {
          throttle: this.throttleFor(seen, stage, at),
          yaw: clamp((1.6 * off * DEGREE) / YAW_RATE[seen.setting], 1),
          pitch: speed / this.craft.topSpeedMps[seen.setting],
          roll: 0,
        };
      }
      case 'fly':
        return this.fly(seen, stage, at);
    }
  }

  private leanAsked(stage: Stage): number {
    return stage.until.is === 'leaned' ? stage.until.deg : 0;
  }

  private beside(stage: Stage, s: Sample, referee: Referee): PathOffset {
    if (this.course.walk) {
      const { x, y, bearingDeg } = walkerAt(this.course.walk, s.t - referee.beganS);
      const [dx, dy] = [Math.sin(bearingDeg * DEGREE), Math.cos(bearingDeg * DEGREE)];
      return {
        alongTrackM: 0,
        crossTrackM: 0,
        nearest: [
          x + LEAD_DISTANCE_M * dx,
          y + LEAD_DISTANCE_M * dy,
          stage.path.is === 'point' ? stage.path.at[2] : s.z,
        ],
        bearingDeg,
      };
    }
    return offsetFromPath(stage.path, s.x, s.y, s.z, referee.round);
  }

  private fly(seen: Perception, stage: Stage, at: PathOffset): StickPosition {
    const { s, referee } = seen;
    const inPart = s.t - referee.beganS;
    // Wash: forward out of the column, then power.
    if (stage.until.is === 'out-of-wash')
      return inPart < 0.3
        ? { throttle: -0.3, yaw: 0, pitch: 0.8, roll: 0 }
        : {
            throttle: inPart < 1 ? 0 : 0.5,
            yaw: 0,
            pitch: this.has('drops-straight-down') ? 0 : 0.6,
            roll: 0,
          };
    if (
      this.has('freezes-on-drift') &&
      (stage.begins === 'hold-lost' || (seen.mode === 'height-hold' && stage.path.is === 'point'))
    )
      return { throttle: 0, yaw: 0, pitch: 0, roll: 0 };
    const [vx, vy, vz] = this.way(seen, stage, at);
    return this.flyWith(
      seen,
      stage,
      at,
      [vx, vy, vz],
      stage.path.is === 'arc' ? stage.speedMps / stage.path.radiusM : 0,
    );
  }

  /** The way over the ground and up that is wanted now, m/s. */
  private way({ s, mode }: Perception, stage: Stage, at: PathOffset): Vector {
    const { path } = stage;
    const k = (mode === 'position-hold' ? 0.8 : mode === 'rate' ? 0.5 : 0.65) * this.skill.gain;
    const [ox, oy] = [at.nearest[0] - s.x, at.nearest[1] - s.y];
    if (path.is === 'point') {
      if (this.has('backs-blind') && stage.until.is === 'nose') return [0, -2, 0];
      const far = Math.hypot(ox, oy);
      const most = this.course.walk ? 2 : Math.max(0.8, stage.speedMps * 0.6);
      const pull = Math.min(k * far, most);
      let [vx, vy] = far > 0 ? [(ox / far) * pull, (oy / far) * pull] : [0, 0];
      if (this.course.walk) {
        const b = at.bearingDeg * DEGREE;
        vx += this.course.walk.speedMps * Math.sin(b);
        vy += this.course.walk.speedMps * Math.cos(b);
      }
      return [vx, vy, 0];
    }
    if (path.is === 'arc') {
      if (this.has('spins-its-turns')) {
        const back = (path.fromDeg - 90 * Math.sign(path.sweepDeg)) * DEGREE;
        return [3 * stage.speedMps * Math.sin(back), 3 * stage.speedMps * Math.cos(back), -9];
      }
      const b = at.bearingDeg * DEGREE;
      const out = Math.hypot(ox, oy);
      const pull = out > 0 ? Math.min(k * out, 1.5) / out : 0;
      return [stage.speedMps * Math.sin(b) + ox * pull, stage.speedMps * Math.cos(b) + oy * pull, 0];
    }
    const length = lengthOf(path);
    if (this.has('drops-straight-down') && path.to[2] < path.from[2] - 0.2 * length) return [0, 0, -1];
    const left = length - at.alongTrackM;
    const stops = stage.until.is === 'still' || (stage.until.is === 'there' && stage.until.standS > 0);
    const late = this.has('brakes-late')
      ? 3.5 + stage.speedMps * 0.7
      : this.has('goes-too-far') && stage.until.is === 'still'
        ? 6
        : 0;
    const lag = mode === 'position-hold' ? 0.5 : 0.3;
    const room = left - lag * Math.hypot(s.vx, s.vy) + late;
    const speed = stops
      ? Math.sign(room) *
        Math.min(stage.speedMps, Math.sqrt(2 * BRAKE_MPS2 * Math.abs(room)), 1.2 * Math.abs(room))
      : stage.speedMps;
    const d: Vector =
      length === 0
        ? [0, 0, 0]
        : [
            (path.to[0] - path.from[0]) / length,
            (path.to[1] - path.from[1]) / length,
            (path.to[2] - path.from[2]) / length,
          ];
    if (length === 0) return [clamp(k * ox, 2), clamp(k * oy, 2), 0];
    const across = Math.hypot(ox, oy);
    const pull = across > 0 ? Math.min(k * across, 1.2) / across : 0;
    if (this.has('aims-at-the-frame'))
      return [speed * d[0] + clamp(k * (ox + FRAME_OFF_M), 1.2), speed * d[1] + oy * pull, speed * d[2]];
    return [speed * d[0] + ox * pull, speed * d[1] + oy * pull, speed * d[2]];
  }

  /** Sticks that bring the craft onto a way, in whatever mode it is. */
  private flyWith(
    seen: Perception,
    stage: Stage,
    at: PathOffset,
    [wx, wy, wz]: Vector,
    turnRate: number,
  ): StickPosition {
    const { s, mode, setting, holds, relative } = seen;
    const heading = this.believedHeading(seen);
    const yaw = this.yawFor(seen, stage, at);
    const climb = this.climbWanted(s, at, wz, stage);
    let along: number;
    let aside: number;
    if (mode === 'position-hold' && holds) {
      // It answers late: aim a little farther round.
      const lead = clockwiseOf(stage) * turnRate * 0.55;
      const [cx, cy] = [wx * Math.cos(lead) + wy * Math.sin(lead), wy * Math.cos(lead) - wx * Math.sin(lead)];
      const still =
        stage.path.is === 'point' &&
        !this.course.walk &&
        at.crossTrackM < LEAVES_M &&
        Math.hypot(wx, wy) < LEAVES_M;
      const top = this.craft.topSpeedMps[setting];
      const toward = (relative ? 0 : heading) * DEGREE;
      [along, aside] = still
        ? [0, 0]
        : [
            (cx * Math.sin(toward) + cy * Math.cos(toward)) / top,
            (cx * Math.cos(toward) - cy * Math.sin(toward)) / top,
          ];
      const size = Math.hypot(along, aside);
      if (!still && size > 0.008 && size < NUDGE) {
        along *= NUDGE / size;
        aside *= NUDGE / size;
      }
    } else {
      const kv = 1.5 * this.skill.gain;
      const [ex, ey] = [wx - s.vx, wy - s.vy];
      // The lean against the wind is learnt as it goes; a novice never finds it.
      if (!this.has('forgets-the-wind')) {
        this.leanX = clamp(this.leanX + 0.25 * ex * DECIDES_S, 4);
        this.leanY = clamp(this.leanY + 0.25 * ey * DECIDES_S, 4);
      }
      let [ax, ay] = [
        kv * ex + this.leanX + wx / this.craft.dragTimeS,
        kv * ey + this.leanY + wy / this.craft.dragTimeS,
      ];
      if (stage.path.is === 'arc') {
        const inward = stage.speedMps ** 2 / stage.path.radiusM;
        const b = (at.bearingDeg + 90 * clockwiseOf(stage)) * DEGREE;
        ax += inward * Math.sin(b);
        ay += inward * Math.cos(b);
      }
      const toward = (relative ? 0 : heading) * DEGREE;
      const most = this.craft.leanRad[setting];
      const lean = (a: number) => clamp(Math.atan(a / G_MPS2) / most, 0.9);
      [along, aside] = [
        lean(ax * Math.sin(toward) + ay * Math.cos(toward)),
        lean(ax * Math.cos(toward) - ay * Math.sin(toward)),
      ];
    }
    let throttle = this.throttleOf(seen, climb);
    if (stage.axis) {
      const only = {
        throttle: stage.axis === 'throttle' ? throttle : mode === 'self-level' ? throttle : 0,
        yaw: stage.axis === 'yaw' ? yaw : 0,
        pitch: stage.axis === 'pitch' ? along : 0,
        roll: stage.axis === 'roll' ? aside : 0,
      };
      return this.has('wrong-stick')
        ? { ...only, roll: only.pitch, pitch: only.roll, yaw: only.throttle, throttle: only.yaw }
        : only;
    }
    if (Math.abs(throttle) < REST_STICK) throttle = 0;
    return this.habitual({ throttle, yaw, pitch: along, roll: aside }, seen, stage);
  }

  /** What habits make of what ought to be done. */
  private habitual(sticks: StickPosition, seen: Perception, stage: Stage): StickPosition {
    const { s } = seen;
    let { throttle, yaw, pitch, roll } = sticks;
    if (this.has('heavy-hands')) {
      pitch = clamp(6 * pitch + 0.35 * Math.sin(4.5 * s.t), 1);
      roll = clamp(6 * roll + 0.35 * Math.sin(3.9 * s.t), 1);
      throttle = clamp(2 * throttle + 0.5 * Math.sin(2 * s.t), 1);
    }
    if (this.has('coasts') && (s.t - this.stageS) % 4 > 1.6 && stage.path.is !== 'point') {
      [pitch, roll, yaw] = [0, 0, 0];
    }
    if (this.has('forgets-the-wind')) roll = 0;
    if (this.has('backs-blind') && stage.until.is === 'nose') yaw = 0;
    if (
      this.has('turns-by-yaw-alone') &&
      stage.path.is === 'arc' &&
      stage.nose === 'along' &&
      seen.mode !== 'position-hold'
    )
      roll = 0;
    if (this.has('no-power-in-a-lean') && seen.mode === 'self-level') throttle = this.hoverThrottle(seen, 0);
    return { throttle, yaw, pitch, roll };
  }

  private climbWanted(s: Sample, at: PathOffset, wz: number, stage: Stage): number {
    let up = wz + 1.2 * this.skill.gain * (at.nearest[2] - s.z);
    if (stage.until.is === 'landed')
      up = s.z < 0.08 ? -1 : s.z < 0.8 ? -0.32 : s.z < 1.4 && at.crossTrackM > 0.2 ? 0 : -0.6;
    if (this.has('drops-straight-down') && wz < -0.1) up = -0.9 * this.craft.inducedMps;
    if (
      this.has('rises-early') &&
      stage.path.is === 'segment' &&
      stage.path.from[2] === stage.path.to[2] &&
      at.alongTrackM > 0.45 * lengthOf(stage.path)
    )
      up = 1.2;
    if (this.has('lingers-low') && s.z < 0.5) up = Math.min(up, 0.15);
    return up;
  }

  private throttleFor(seen: Perception, stage: Stage, at: PathOffset): number {
    if (this.has('no-power-in-a-lean') && seen.mode === 'self-level') return this.hoverThrottle(seen, 0);
    return this.throttleOf(seen, this.climbWanted(seen.s, at, this.way(seen, stage, at)[2], stage));
  }

  private throttleOf(seen: Perception, climb: number): number {
    const { s, mode, setting } = seen;
    if (mode === 'rate' || mode === 'self-level') {
      const error = climb - s.vz;
      this.lift = clamp(this.lift + 0.8 * error * DECIDES_S, 3);
      return this.hoverThrottle(seen, 2.5 * this.skill.gain * error + this.lift);
    }
    return clamp(climb / (climb > 0 ? CLIMB_MPS[setting] : SINK_MPS[setting]), 1);
  }

  /**
   * Throttle without height hold for so much more lift than the weight, m/s²; power for the lean it is in.
   */
  private hoverThrottle(seen: Perception, more: number): number {
    if (seen.mode !== 'rate' && seen.mode !== 'self-level') return 0;
    const { s } = seen;
    const upright = this.has('no-power-in-a-lean') ? 1 : Math.max(0.5, 1 - 2 * (s.qx * s.qx + s.qy * s.qy));
    const share = Math.max(0, (G_MPS2 + more) / (G_MPS2 * this.craft.thrustToWeight * upright));
    return clamp(throttleStick(share), 1);
  }

  private yawFor(seen: Perception, stage: Stage, at: PathOffset): number {
    const { s, referee, setting } = seen;
    const wanted = noseWanted(
      stage.nose,
      s,
      at,
      pilotAt(this.course, s.t - referee.beganS),
      clockwiseOf(stage),
    );
    if (wanted === null) return 0;
    if (this.has('switches-relative-turned') && stage.nose === 'outward' && !this.course.walk)
      return clamp((turned(headingOf(s), wanted + 90) * DEGREE * 1.8) / YAW_RATE[setting], 0.9);
    const off = turned(headingOf(s), wanted);
    if (this.has('spins-its-turns') && stage.path.is === 'arc') return clamp(off * 0.2, 1);
    const { path } = stage;
    const rate = path.is === 'arc' ? (clockwiseOf(stage) * stage.speedMps) / path.radiusM : 0;
    if (Math.abs(off) < 2.5 && rate === 0) return 0;
    return clamp((1.8 * this.skill.gain * off * DEGREE + rate) / YAW_RATE[setting], 0.9);
  }

  /** Where these hands think the nose points, as a bearing. */
  private believedHeading(seen: Perception): number {
    const { s } = seen;
    const heading = headingOf(s);
    const { x, y } = this.course.walk ? { x: 0, y: 0 } : s;
    const seenNose = turned(bearing(x, y), heading);
    if (this.has('guesses-the-nose') && seen.referee.stage.begins === 'carried-off') return heading + 140;
    if (this.has('mirrors-nose-in') && Math.abs(seenNose) > 120) return heading + 180;
    if (this.has('flies-side-on-as-tail-in') && Math.abs(seenNose) > 50 && Math.abs(seenNose) < 130)
      return bearing(x, y);
    return heading;
  }

  /** Pulses ahead and reads whether it comes nearer; turns until it does; then brings it in. */
  private findNose(seen: Perception, stage: Stage, at: PathOffset): StickPosition {
    const { s } = seen;
    const home = stage.path.is === 'segment' ? stage.path.to : ([0, 0, 0] as const);
    const off = turned(headingOf(s), bearing(home[0] - s.x, home[1] - s.y));
    const throttle = this.throttleOf(seen, at.nearest[2] - s.z > 0.5 ? 0.5 : 0);
    if (this.has('guesses-the-nose')) {
      // Pulse after pulse on a guess, with no reading in between.
      const phase = (s.t - this.stageS) % 2;
      return { throttle, yaw: phase > 1.4 ? 0.3 : 0, pitch: phase > 0.2 && phase < 1.2 ? 0.3 : 0, roll: 0 };
    }
    if (this.pulseS === 0) this.pulseS = s.t;
    const pulsing = s.t - this.pulseS;
    if (pulsing < 0.5 || (pulsing > 1.3 && pulsing < 2)) return { throttle, yaw: 0, pitch: 0, roll: 0 };
    if (pulsing < 1.3) return { throttle, yaw: 0, pitch: 0.2, roll: 0 };
    if (Math.abs(off) > 12 && this.lookedS <= this.stageS)
      return { throttle, yaw: clamp(off * DEGREE * 1.6, 0.8), pitch: 0, roll: 0 };
    this.lookedS = s.t + 1;
    return {
      throttle,
      yaw: clamp(off * DEGREE * 1.6, 0.5),
      pitch: stage.speedMps / this.craft.topSpeedMps[seen.setting],
      roll: 0,
    };
  }

  /** Looks along the path, levels, slows, keeps creeping ahead. */
  private recover(seen: Perception): StickPosition {
    const { s, setting } = seen;
    if (this.has('fights-on'))
      return {
        throttle: 1,
        yaw: 0.8 * Math.sign(Math.sin(4 * s.t)),
        pitch: -1,
        roll: Math.sign(Math.sin(3 * s.t)),
      };
    const speed = Math.hypot(s.vx, s.vy);
    const off = turned(headingOf(s), bearing(s.vx, s.vy));
    const b = bearing(s.vx, s.vy) * DEGREE;
    const wish = Math.min(speed, 1.5) || 1;
    const stage = seen.referee.stage;
    const at: PathOffset = { alongTrackM: 0, crossTrackM: 0, nearest: [s.x, s.y, s.z], bearingDeg: 0 };
    const sticks = this.flyWith(
      seen,
      { ...stage, path: { is: 'segment', from: [s.x, s.y, s.z], to: [s.x + 1, s.y, s.z] } },
      at,
      [wish * Math.sin(b), wish * Math.cos(b), 0.3],
      0,
    );
    return { ...sticks, yaw: speed > 0.5 ? clamp((2.2 * off * DEGREE) / YAW_RATE[setting], 1) : 0 };
  }
}
