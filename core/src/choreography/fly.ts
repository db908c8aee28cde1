import { FULL, type SceneLeg, NEUTRAL, RAMP_S, type StickMoves } from './legs';
import type { CueId } from '../vocabulary/cues';

/**
 * Where the craft is and where its nose points. The pilot stands at 0, 0 and looks along y; x is to the
 * pilot's right. m and degrees.
 */
export interface ScenePose {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** 0: away from the pilot; clockwise from above. */
  readonly noseDeg: number;
}

/** One moment of a movement. */
export interface Moment extends ScenePose {
  /** s from the beginning */
  readonly t: number;
  readonly sticks: StickMoves;
  /** What was said last; null before anything was. */
  readonly says: CueId | null;
}

export const STEP_S = 0.05;
const DEGREE = Math.PI / 180;
const AXES = ['throttle', 'yaw', 'pitch', 'roll'] as const;

const between = (from: StickMoves, to: StickMoves, share: number): StickMoves =>
  Object.fromEntries(
    AXES.map((axis) => [axis, from[axis] + (to[axis] - from[axis]) * share]),
  ) as unknown as StickMoves;

/**
 * Flies a movement through, moment by moment. The drawn craft follows the sticks at once, as one with every
 * assistance on does nearly: where
 * it goes is worked out from the sticks alone, so that plate and craft can never disagree. Each leg's stick
 * comes up and the next one's takes over within
 * the same ramp, so that a leg moves the craft by exactly what its hold would.
 */
export function fly(start: ScenePose, legs: readonly SceneLeg[]): readonly Moment[] {
  const moments: Moment[] = [];
  let { x, y, z, noseDeg } = start;
  let t = 0;
  let before = NEUTRAL;
  let slipBefore = 0;
  let ground = { x: 0, y: 0 };
  let says: CueId | null = null;
  for (const leg of legs) {
    says = leg.says ?? says;
    const steps = Math.max(1, Math.round(leg.seconds / STEP_S));
    const dt = leg.seconds / steps;
    const slip = leg.leans ? 0 : leg.sticks.roll;
    const { x: px = 0, y: py = 0, z: pz = 0, noseDeg: pn = 0 } = leg.pushed ?? {};
    for (let i = 0; i < steps; i += 1) {
      const share = Math.min(1, ((i + 0.5) * dt) / RAMP_S);
      const sticks = between(before, leg.sticks, share);
      moments.push({ t, x, y, z, noseDeg, sticks, says });
      // Half the turn before the step and half after it: a circle closes.
      const turned = sticks.yaw * FULL.yawDegPerS * dt + pn / steps;
      const nose = leg.pilotRelative ? 0 : (noseDeg + turned / 2) * DEGREE;
      const [ahead, aside] = [
        sticks.pitch * FULL.forwardMps,
        (slipBefore + (slip - slipBefore) * share) * FULL.sidewaysMps,
      ];
      if (!leg.slides)
        ground = {
          x: ahead * Math.sin(nose) + aside * Math.cos(nose),
          y: ahead * Math.cos(nose) - aside * Math.sin(nose),
        };
      x += ground.x * dt + px / steps;
      y += ground.y * dt + py / steps;
      // The ground holds it up.
      z = Math.max(0, z + sticks.throttle * FULL.climbMps * dt + pz / steps);
      noseDeg += turned;
      t += dt;
    }
    before = leg.sticks;
    slipBefore = slip;
  }
  moments.push({ t, x, y, z, noseDeg, sticks: NEUTRAL, says });
  return moments;
}

/** The same movement to the other side: left for right, clockwise for counter-clockwise. */
export const mirrored = (moments: readonly Moment[]): readonly Moment[] =>
  moments.map((moment) => ({
    ...moment,
    x: -moment.x,
    noseDeg: -moment.noseDeg,
    sticks: { ...moment.sticks, yaw: -moment.sticks.yaw, roll: -moment.sticks.roll },
  }));

/** The moment at `t` seconds; before the first the first, after the last the last. */
export function momentAt(moments: readonly Moment[], t: number): Moment {
  let [low, high] = [0, moments.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (moments[middle]!.t <= t) low = middle;
    else high = middle - 1;
  }
  return moments[low]!;
}
