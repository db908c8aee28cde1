import { clockwiseOf } from '../assessment/referee';
import { headingOf, thrustAxis, uprightness } from '../geometry/rotation';
import type { Sample } from '../flight-log/flight-log';
import { G_MPS2 } from '../reconstruct/constants';
import {
  CLIMB_MPS,
  FULL_RATE,
  SINK_MPS,
  type StickPosition,
  throttleStick,
  YAW_RATE,
} from '../simulator/control/control';
import { believedHeading } from './guidance';
import { clamp, DECIDES_S, DEGREE, type FlyingHands, isByHand, type Leg, type Perception } from './hands';

/** With position hold a small wander is left alone. */
const LEAVES_M = 0.35;
const NUDGE = 0.045;
/** How soon hands bring a lean about in rate mode, 1/s. */
const LEAN_GAIN = 6;
/** A change of speed that is asked for at once, m/s²: more comes bit by bit. */
const GENTLE_MPS2 = 2.2;
/** In a bend, where the way itself changes all the time. */
const FIRM_MPS2 = 4;
/** Lift that the ground gives back, which hands take off the throttle as it comes near, m/s²; and from where, m. */
const CUSHION_MPS2 = 3;
const CUSHION_M = 0.3;
const cushionAt = (heightM: number): number => CUSHION_MPS2 * Math.max(0, 1 - heightM / CUSHION_M);
/** Lift is eased off by so much at most: without thrust nothing steers. */
const EASES_MPS2 = 4;
/** What a difference teaches of the wind, m/s: a large one is a change of way. */
const LEARNS_MPS = 0.7;
/** How long a change of climb is looked at, s. */
const CLIMB_READ_S = 0.12;

const atMost = ([x, y]: readonly [number, number], most: number): readonly [number, number] => {
  const size = Math.hypot(x, y);
  return size > most ? [(x / size) * most, (y / size) * most] : [x, y];
};

type Lean = Pick<StickPosition, 'pitch' | 'roll'>;

/** How hands turn a speed that is wanted into sticks, in whatever mode the craft is. */
export class StickWork {
  /** The lean against the wind, as it was learnt, m/s². */
  private againstX = 0;
  private againstY = 0;
  /** Lift learnt beside the weight, m/s². */
  private lift = 0;
  /** How the climb has been changing, m/s². */
  private climbSlope = 0;
  private seenAt: { readonly t: number; readonly vz: number } | null = null;
  /** Sticks given since what is seen now, in rate mode. */
  private readonly given: Lean[] = [];

  constructor(private readonly hands: FlyingHands) {}

  /** Pitch and roll that bring the craft onto a way. */
  lean(seen: Perception, leg: Leg): Lean {
    const toward = (seen.relative ? 0 : believedHeading(this.hands, seen)) * DEGREE;
    return seen.mode === 'position-hold' && seen.holds
      ? this.bySpeed(seen, leg, toward)
      : this.byPush(seen, leg, toward);
  }

  /** Sticks are speeds. */
  private bySpeed(
    { setting }: Perception,
    { stage, at, velocity: [wx, wy], turnRate }: Leg,
    toward: number,
  ): Lean {
    // It answers late: aim a little farther round.
    const lead = clockwiseOf(stage) * turnRate * 0.55;
    const [cx, cy] = [wx * Math.cos(lead) + wy * Math.sin(lead), wy * Math.cos(lead) - wx * Math.sin(lead)];
    if (
      stage.path.is === 'point' &&
      !this.hands.course.walk &&
      at.crossTrackM < LEAVES_M &&
      Math.hypot(wx, wy) < LEAVES_M
    )
      return { pitch: 0, roll: 0 };
    const top = this.hands.craft.topSpeedMps[setting];
    let [pitch, roll] = [
      (cx * Math.sin(toward) + cy * Math.cos(toward)) / top,
      (cx * Math.cos(toward) - cy * Math.sin(toward)) / top,
    ];
    const size = Math.hypot(pitch, roll);
    if (size > 0.008 && size < NUDGE) {
      pitch *= NUDGE / size;
      roll *= NUDGE / size;
    }
    return { pitch, roll };
  }

  /** Sticks are leans, and a lean is a push. */
  private byPush({ s, setting }: Perception, { stage, at, velocity: [wx, wy] }: Leg, toward: number): Lean {
    const { craft, skill, habits } = this.hands;
    const kv = 2.4 * skill.gain;
    const [vx, vy] = this.ahead(s, [wx, wy]);
    const [ex, ey] = [wx - vx, wy - vy];
    const isBend = stage.path.is === 'arc';
    const [px, py] = atMost([kv * ex, kv * ey], isBend ? FIRM_MPS2 : GENTLE_MPS2);
    // The lean against the wind is learnt as it goes; a novice never finds it.
    if (!habits.has('forgets-the-wind')) {
      const isChange = Math.hypot(kv * ex, kv * ey) > GENTLE_MPS2;
      const [lx, ly] = isChange ? atMost([ex, ey], LEARNS_MPS) : [ex, ey];
      this.againstX = clamp(this.againstX + 0.6 * lx * DECIDES_S, 4);
      this.againstY = clamp(this.againstY + 0.6 * ly * DECIDES_S, 4);
    }
    let [ax, ay] = [px + this.againstX + wx / craft.dragTimeS, py + this.againstY + wy / craft.dragTimeS];
    if (stage.path.is === 'arc') {
      const inward = stage.speedMps ** 2 / stage.path.radiusM;
      const b = (at.bearingDeg + 90 * clockwiseOf(stage)) * DEGREE;
      ax += inward * Math.sin(b);
      ay += inward * Math.cos(b);
    }
    const most = craft.leanRad[setting];
    const lean = (a: number) => clamp(Math.atan(a / G_MPS2) / most, 0.9);
    return {
      pitch: lean(ax * Math.sin(toward) + ay * Math.cos(toward)),
      roll: lean(ax * Math.cos(toward) - ay * Math.sin(toward)),
    };
  }

  /** The speed over the ground by the time the stick moves: the lean that is seen goes on pushing until then. */
  private ahead(s: Sample, [wx, wy]: readonly [number, number]): readonly [number, number] {
    const { craft, skill } = this.hands;
    const [nx, ny, nz] = thrustAxis(s);
    if (nz < 0.5) return [s.vx, s.vy];
    const on = (n: number, against: number, w: number) =>
      skill.reactionS * ((G_MPS2 * n) / nz - against - w / craft.dragTimeS);
    return [s.vx + on(nx, this.againstX, wx), s.vy + on(ny, this.againstY, wy)];
  }

  /** The climb by the time the stick moves, as it has been changing. */
  private climbAhead({ t, vz }: Sample): number {
    if (this.seenAt && t > this.seenAt.t) {
      const slope = (vz - this.seenAt.vz) / (t - this.seenAt.t);
      this.climbSlope += Math.min(1, (t - this.seenAt.t) / CLIMB_READ_S) * (slope - this.climbSlope);
    }
    this.seenAt = { t, vz };
    return vz + this.hands.skill.reactionS * this.climbSlope;
  }

  /** Throttle for a climb, m/s. */
  throttle(seen: Perception, climb: number): number {
    const { s, mode, setting } = seen;
    if (isByHand(mode)) {
      const error = climb - this.climbAhead(s);
      this.lift = clamp(this.lift + 0.8 * error * DECIDES_S, 3);
      const more = 2.5 * this.hands.skill.gain * error + this.lift - cushionAt(s.z);
      return this.hoverThrottle(seen, clamp(more, EASES_MPS2));
    }
    return clamp(climb / (climb > 0 ? CLIMB_MPS[setting] : SINK_MPS[setting]), 1);
  }

  /** Throttle without height hold for so much more lift than the weight, m/s²; power for the lean it is in. */
  hoverThrottle({ s, mode }: Perception, more: number): number {
    if (!isByHand(mode)) return 0;
    const { craft, habits } = this.hands;
    const upright = habits.has('no-power-in-a-lean') ? 1 : Math.max(0.5, uprightness(s));
    const share = Math.max(0, (G_MPS2 + more) / (G_MPS2 * craft.thrustToWeight * upright));
    return clamp(throttleStick(share), 1);
  }

  /** Notes what was given, as far back as what is seen is old. */
  gave({ pitch, roll }: StickPosition): void {
    this.given.push({ pitch, roll });
    if (this.given.length > this.hands.skill.reactionS / DECIDES_S) this.given.shift();
  }

  /**
   * Leans asked for, as the turn rates that bring them about: what is seen is old, and hands know what they
   * have given since.
   */
  asRates({ s, setting }: Perception, { throttle, yaw, pitch, roll }: StickPosition): StickPosition {
    const [nx, ny, nz] = thrustAxis(s);
    const toward = headingOf(s) * DEGREE;
    const since = (axis: 'pitch' | 'roll') =>
      FULL_RATE.roll * DECIDES_S * this.given.reduce((sum, each) => sum + each[axis], 0);
    const rate = (lean: number, is: number, axis: 'pitch' | 'roll') =>
      clamp((LEAN_GAIN * (lean * this.hands.craft.leanRad[setting] - is - since(axis))) / FULL_RATE.roll, 1);
    return {
      throttle,
      yaw: (yaw * YAW_RATE[setting]) / FULL_RATE.yaw,
      pitch: rate(pitch, Math.atan2(nx * Math.sin(toward) + ny * Math.cos(toward), nz), 'pitch'),
      roll: rate(roll, Math.atan2(nx * Math.cos(toward) - ny * Math.sin(toward), nz), 'roll'),
    };
  }
}
