import type { Stage } from '../assessment/exercise';
import { type Sample, turned } from '../flight-log/flight-log';
import { bearing, type PathOffset, type PathPoint } from '../geometry/path';
import { headingOf } from '../geometry/rotation';
import type { Random } from '../simulator/random';
import { CENTRED, type StickPosition, YAW_RATE } from '../simulator/control/control';
import { besideWay, climbWanted, lateBrakingM, velocityWanted, yawWanted } from './guidance';
import type { Habit } from './habits';
import {
  clamp,
  DECIDES_S,
  DEGREE,
  type FlyingHands,
  type Leg,
  type Perception,
  type Velocity,
} from './hands';
import { oneStick, SMALL_STICK } from './one-stick';
import { StickWork } from './stick-work';

const STICK_PER_S = 5;
const TREMOR_S = 0.15;
const REST_STICK = 0.03;
/** Sine of the angle between nose and way from which a way runs to the side. */
const SIDEWAYS = 0.7;
const AXES = ['throttle', 'yaw', 'pitch', 'roll'] as const;
type Axis = (typeof AXES)[number];

/**
 * FlyingHands that fly a drill in a closed loop: they see late, correct what they see, shake a little, and have
 * habits.
 */
export class SyntheticPilot {
  private sticks: Record<Axis, number> = { ...CENTRED };
  private readonly shake: Record<Axis, number> = { ...CENTRED };
  private readonly work: StickWork;
  private meant: StickPosition = CENTRED;
  private stageAt = -1;
  private stageS = 0;
  private pulseS = 0;
  private lookedS = 0;

  constructor(
    private readonly hands: FlyingHands,
    private readonly random: Random,
  ) {
    this.work = new StickWork(hands);
  }

  /** The sticks for the next DECIDES_S. */
  decide(seen: Perception): StickPosition {
    const { referee, s } = seen;
    if (referee.at !== this.stageAt) {
      this.stageAt = referee.at;
      this.stageS = s.t;
      this.pulseS = 0;
      this.lookedS = s.t;
    }
    this.meant = this.wanted(seen);
    const wanted = this.inMode(seen, this.meant);
    for (const axis of AXES) {
      const keeps = Math.exp(-DECIDES_S / TREMOR_S);
      this.shake[axis] =
        keeps * this.shake[axis] +
        Math.sqrt(1 - keeps * keeps) * this.hands.skill.tremor * this.random.normal();
      const to = clamp(wanted[axis] === 0 ? 0 : wanted[axis] + this.shake[axis], 1);
      this.sticks[axis] += clamp(to - this.sticks[axis], STICK_PER_S * DECIDES_S);
    }
    this.work.gave(this.sticks);
    return { ...this.sticks };
  }

  /** What is meant, as the sticks of the mode give it; hands that have let go stay as they are. */
  private inMode(seen: Perception, meant: StickPosition): StickPosition {
    if (seen.mode !== 'rate') return meant;
    if (seen.referee.stage.hands !== 'off') return this.work.asRates(seen, meant);
    return meant.pitch === 0 && meant.roll === 0 ? meant : { ...this.sticks };
  }

  private has(habit: Habit): boolean {
    return this.hands.habits.has(habit);
  }

  private wanted(seen: Perception): StickPosition {
    const { s, referee } = seen;
    const { stage } = referee;
    const at = besideWay(this.hands, stage, s, referee);
    const inPart = s.t - referee.beganS;
    switch (stage.hands) {
      case 'off':
        return this.handsOff(seen, inPart);
      case 'stop':
        return this.stop(seen, { stage, at, velocity: [0, 0, 0], turnRate: 0 }, inPart);
      case 'sink':
        return { ...CENTRED, throttle: -1 };
      case 'lean':
        return {
          throttle: this.throttleFor(seen, stage, at),
          yaw: yawWanted(this.hands, seen, stage, at),
          pitch: clamp((leanAsked(stage) * DEGREE * 1.02) / this.hands.craft.leanRad[seen.setting], 1),
          roll: 0,
        };
      case 'answer':
        return this.flyLeg(seen, { stage, at, velocity: [0, 0, 0], turnRate: 0 });
      case 'take-over':
        if (this.has('watches-the-return') || inPart < 1) return CENTRED;
        return {
          ...CENTRED,
          pitch: 0.35,
          throttle: this.has('rises-early') ? 0.8 : this.work.hoverThrottle(seen, 0),
        };
      case 'find-nose':
        return this.findNose(seen, stage, at);
      case 'recover':
        return this.recover(seen);
      case 'nose-first':
        return this.noseFirst(seen, stage, at);
      case 'fly':
        return this.fly(seen, stage, at);
    }
  }

  /** Reacts, then lets go; whoever fights on does not. */
  private handsOff(seen: Perception, inPart: number): StickPosition {
    const { t } = seen.s;
    if (this.has('fights-on'))
      return {
        throttle: 0.6,
        yaw: 0,
        pitch: -0.7 * Math.sign(Math.sin(6 * t)),
        roll: 0.6 * Math.sign(Math.sin(5 * t)),
      };
    if (inPart < this.hands.skill.reactionS + 0.05) return this.meant;
    return { ...CENTRED, throttle: this.work.hoverThrottle(seen, 0) };
  }

  /** With hold letting go stops it; without, it is flown to a stop. */
  private stop(seen: Perception, leg: Leg, inPart: number): StickPosition {
    if (seen.mode !== 'position-hold' || !seen.holds) return this.flyLeg(seen, leg);
    return inPart < this.hands.skill.reactionS + 0.05 ? this.meant : CENTRED;
  }

  /** Turns the nose onto the way and goes where it points. */
  private noseFirst(seen: Perception, stage: Stage, at: PathOffset): StickPosition {
    const { s, setting } = seen;
    const [dx, dy] = [at.nearest[0] - s.x, at.nearest[1] - s.y];
    const ahead =
      at.bearingDeg +
      clamp(Math.hypot(dx, dy) * 40 * this.hands.skill.gain, 50) *
        Math.sign(turned(at.bearingDeg, bearing(dx, dy)));
    const off = turned(headingOf(s), ahead);
    const speed = stage.speedMps * Math.max(0.25, Math.cos(Math.min(90, Math.abs(off)) * DEGREE));
    const throttle = this.throttleFor(seen, stage, at);
    const yaw = clamp((1.6 * off * DEGREE) / YAW_RATE[setting], 1);
    if (seen.mode === 'position-hold')
      return { throttle, yaw, pitch: speed / this.hands.craft.topSpeedMps[setting], roll: 0 };
    const nose = headingOf(s) * DEGREE;
    const velocity: Velocity = [speed * Math.sin(nose), speed * Math.cos(nose), 0];
    const { pitch, roll } = this.work.lean(seen, { stage, at, velocity, turnRate: 0 });
    return { throttle, yaw, pitch, roll: clamp(roll, SMALL_STICK) };
  }

  private fly(seen: Perception, stage: Stage, at: PathOffset): StickPosition {
    const { s, referee, mode } = seen;
    if (
      this.has('brakes-late') &&
      stage.begins === 'call' &&
      s.t - referee.beganS < lateBrakingM(stage.speedMps) / stage.speedMps
    )
      return this.meant;
    // What it was carried to is seen only now.
    if (stage.begins === 'carried-off' && s.t - referee.beganS < 0) return this.meant;
    if (stage.until.is === 'out-of-wash') return this.outOfWash(s.t - referee.beganS);
    if (
      this.has('freezes-on-drift') &&
      (stage.begins === 'hold-lost' || (mode === 'height-hold' && stage.path.is === 'point'))
    )
      return CENTRED;
    return this.flyLeg(seen, {
      stage,
      at,
      velocity: velocityWanted(this.hands, seen, stage, at),
      turnRate: stage.path.is === 'arc' ? stage.speedMps / stage.path.radiusM : 0,
    });
  }

  /** Forward out of the column, then power. */
  private outOfWash(inPart: number): StickPosition {
    if (inPart < 0.3) return { ...CENTRED, throttle: -0.3, pitch: 0.8 };
    return {
      ...CENTRED,
      throttle: inPart < 1 ? 0 : 0.5,
      pitch: this.has('drops-straight-down') ? 0 : 0.6,
    };
  }

  /** Sticks that bring the craft onto a way, in whatever mode it is. */
  private flyLeg(seen: Perception, leg: Leg): StickPosition {
    const { stage, at } = leg;
    const yaw = yawWanted(this.hands, seen, stage, at);
    const climb = climbWanted(this.hands, seen, leg, leg.velocity[2]);
    const lean = this.work.lean(seen, leg);
    const throttle = this.work.throttle(seen, climb);
    if (stage.axis)
      return oneStick(stage.axis, { throttle, yaw, ...lean }, seen.mode, this.has('wrong-stick'));
    return this.habitual(
      { throttle: Math.abs(throttle) < REST_STICK ? 0 : throttle, yaw, ...lean },
      seen,
      stage,
    );
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
    if (this.has('coasts') && this.letsItRun(seen, stage)) [pitch, roll, yaw] = [0, 0, 0];
    // What is left out is the lean across the way, on whichever stick it lies.
    if (this.has('forgets-the-wind')) {
      if (isSideways(stage, s)) pitch = 0;
      else roll = 0;
    }
    if (this.has('backs-blind') && stage.until.is === 'nose') yaw = 0;
    if (
      this.has('turns-by-yaw-alone') &&
      stage.path.is === 'arc' &&
      stage.nose === 'along' &&
      seen.mode !== 'position-hold'
    )
      roll = 0;
    if (this.has('no-power-in-a-lean') && seen.mode === 'self-level')
      throttle = this.work.hoverThrottle(seen, 0);
    return { throttle, yaw, pitch, roll };
  }

  /** On a way again and again, over a place for as long as nothing seems to happen: with hold nothing does. */
  private letsItRun({ s, mode }: Perception, { path }: Stage): boolean {
    const since = s.t - this.stageS;
    return path.is === 'point' ? mode !== 'position-hold' && since % 8 > 1.5 : since % 4 > 1.6;
  }

  private throttleFor(seen: Perception, stage: Stage, at: PathOffset): number {
    if (this.has('no-power-in-a-lean') && seen.mode === 'self-level') return this.work.hoverThrottle(seen, 0);
    const up = velocityWanted(this.hands, seen, stage, at)[2];
    return this.work.throttle(seen, climbWanted(this.hands, seen, { stage, at }, up));
  }

  /** Pulses ahead and reads whether it comes nearer; turns until it does; then brings it in. */
  private findNose(seen: Perception, stage: Stage, at: PathOffset): StickPosition {
    const { s } = seen;
    const home = stage.path.is === 'segment' ? stage.path.to : ([0, 0, 0] as const);
    const off = turned(headingOf(s), bearing(home[0] - s.x, home[1] - s.y));
    const throttle = this.work.throttle(seen, at.nearest[2] - s.z > 0.5 ? 0.5 : 0);
    if (this.has('guesses-the-nose')) {
      // Pulse after pulse on a guess, with no reading in between.
      const phase = (s.t - this.stageS) % 2;
      return { throttle, yaw: phase > 1.4 ? 0.3 : 0, pitch: phase > 0.2 && phase < 1.2 ? 0.3 : 0, roll: 0 };
    }
    if (this.pulseS === 0) this.pulseS = s.t;
    const pulsing = s.t - this.pulseS;
    if (pulsing < 0.5 || (pulsing > 1.3 && pulsing < 2)) return { ...CENTRED, throttle };
    if (pulsing < 1.3) return { ...CENTRED, throttle, pitch: 0.2 };
    if (Math.abs(off) > 12 && this.lookedS <= this.stageS)
      return { ...CENTRED, throttle, yaw: clamp(off * DEGREE * 1.6, 0.8) };
    this.lookedS = s.t + 1;
    if (seen.mode !== 'position-hold') return this.bringHome(seen, stage, at, home);
    return {
      throttle,
      yaw: clamp(off * DEGREE * 1.6, 0.5),
      pitch: stage.speedMps / this.hands.craft.topSpeedMps[seen.setting],
      roll: 0,
    };
  }

  /** Nose first to where it should come, against whatever blows. */
  private bringHome(seen: Perception, stage: Stage, at: PathOffset, [x, y]: PathPoint): StickPosition {
    const toward = bearing(x - seen.s.x, y - seen.s.y) * DEGREE;
    const velocity: Velocity = [stage.speedMps * Math.sin(toward), stage.speedMps * Math.cos(toward), 0];
    return this.flyLeg(seen, { stage: { ...stage, nose: toward / DEGREE }, at, velocity, turnRate: 0 });
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
    const sticks = this.flyLeg(seen, {
      stage: {
        ...seen.referee.stage,
        path: { is: 'segment', from: [s.x, s.y, s.z], to: [s.x + 1, s.y, s.z] },
      },
      at: { alongTrackM: 0, crossTrackM: 0, nearest: [s.x, s.y, s.z], bearingDeg: 0 },
      velocity: [wish * Math.sin(b), wish * Math.cos(b), 0.3],
      turnRate: 0,
    });
    return { ...sticks, yaw: speed > 0.5 ? clamp((2.2 * off * DEGREE) / YAW_RATE[setting], 1) : 0 };
  }
}

/** Whether the way runs to the side of the nose. */
const isSideways = ({ path }: Stage, s: Sample): boolean =>
  path.is === 'segment' &&
  Math.abs(
    Math.sin(turned(headingOf(s), bearing(path.to[0] - path.from[0], path.to[1] - path.from[1])) * DEGREE),
  ) > SIDEWAYS;

const leanAsked = ({ until }: Stage): number => (until.is === 'leaned' ? until.deg : 0);
