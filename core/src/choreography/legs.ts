import type { CueId } from '../vocabulary/cues';

/**
 * How far each stick is pushed, −1 to 1. Throttle up, yaw right, pitch forward and roll right are positive.
 */
export interface StickMoves {
  readonly throttle: number;
  readonly yaw: number;
  readonly pitch: number;
  readonly roll: number;
}

export const NEUTRAL: StickMoves = { throttle: 0, yaw: 0, pitch: 0, roll: 0 };

/** One part of a movement: the sticks are brought to a place and held there. */
export interface SceneLeg {
  readonly sticks: StickMoves;
  /** From one move of the sticks to the next, s. */
  readonly seconds: number;
  /**
   * The craft runs on over the ground as it did, whatever the nose does: manual flight, or hold switched off.
   */
  readonly slides?: boolean;
  /** Roll leans the craft into a curve and does not slide it. */
  readonly leans?: boolean;
  /** Pilot-relative mode: forward is away from the pilot, wherever the nose is. */
  readonly pilotRelative?: boolean;
  /**
   * Something that happens to the craft and not by the sticks: it is moved by so much over the leg, m and
   * degrees.
   */
  readonly pushed?: {
    readonly x?: number;
    readonly y?: number;
    readonly z?: number;
    readonly noseDeg?: number;
  };
  /** Said at its beginning. */
  readonly says?: CueId;
}

/** Speeds of the drawn craft at full stick: a slow setting, so that the eye can follow. */
export const FULL = { forwardMps: 5, sidewaysMps: 5, climbMps: 2, yawDegPerS: 90 } as const;
/** Sticks take so long from one place to the next, s. */
export const RAMP_S = 0.3;

const SETTLE_S = 0.9;
const STICK = 0.4;
const YAW_STICK = 0.5;

const legOf = (part: Partial<StickMoves>, seconds: number, says?: CueId): SceneLeg => ({
  sticks: { ...NEUTRAL, ...part },
  seconds,
  ...(says === undefined ? {} : { says }),
});

/** Sticks at rest for so long, s. */
export const hold = (seconds: number, says?: CueId): SceneLeg => legOf({}, seconds, says);

/** Sticks held where they are given, for so long, s. */
export const blend = (sticks: Partial<StickMoves>, seconds: number, says?: CueId): SceneLeg =>
  legOf(sticks, seconds, says);

/** As `mix`, while the craft runs on over the ground as before. */
export const slide = (sticks: Partial<StickMoves>, seconds: number, says?: CueId): SceneLeg => ({
  ...legOf(sticks, seconds, says),
  slides: true,
});

/** Moved by air, or by another's hand, while the sticks are where they are given. */
export const pushed = (
  by: NonNullable<SceneLeg['pushed']>,
  seconds: number,
  says?: CueId,
  sticks: Partial<StickMoves> = {},
): SceneLeg => ({ ...legOf(sticks, seconds, says), pushed: by });

/** One stick brought to a place and back, long enough to move the craft by so much; then a rest. */
const alongAxis =
  (axis: keyof StickMoves, full: number, stick: number) =>
  (amount: number, says?: CueId): readonly SceneLeg[] => [
    legOf({ [axis]: Math.sign(amount) * stick }, Math.abs(amount) / (full * stick), says),
    hold(SETTLE_S),
  ];

/** So many metres forward; negative: backward. */
export const forward = alongAxis('pitch', FULL.forwardMps, STICK);
/** So many metres to the right; negative: to the left. */
export const sideways = alongAxis('roll', FULL.sidewaysMps, STICK);
/** So many metres up; negative: down. */
export const climb = alongAxis('throttle', FULL.climbMps, STICK);
/** Nose round by so many degrees, clockwise from above. */
export const turn = alongAxis('yaw', FULL.yawDegPerS, YAW_STICK);

const CIRCLE_PITCH = 0.5;
const LEAN_ROLL = 0.25;
const FULL_TURN_DEG = 360;

/**
 * A curve flown nose first: so much of a turn (in degrees, clockwise positive) on a circle of that radius, m.
 */
export function curve(radiusM: number, degrees: number, says?: CueId): SceneLeg {
  const yawDegPerS = ((CIRCLE_PITCH * FULL.forwardMps) / radiusM) * (180 / Math.PI);
  return {
    ...blend(
      {
        pitch: CIRCLE_PITCH,
        yaw: (Math.sign(degrees) * yawDegPerS) / FULL.yawDegPerS,
        roll: Math.sign(degrees) * LEAN_ROLL,
      },
      Math.abs(degrees) / yawDegPerS,
      says,
    ),
    leans: true,
  };
}

/** In a lean part of the lift pulls sideways: power added by so much of the stick holds the height. */
export const powered = (leg: SceneLeg, throttle: number): SceneLeg => ({
  ...leg,
  sticks: { ...leg.sticks, throttle },
  pushed: { z: -throttle * FULL.climbMps * leg.seconds },
});

/**
 * Round a post with the nose kept on it: sideways and yaw against each other; `laps` positive goes round
 * clockwise seen from above.
 */
export function orbit(radiusM: number, laps: number, says?: CueId): SceneLeg {
  const yawDegPerS = ((STICK * FULL.sidewaysMps) / radiusM) * (180 / Math.PI);
  return blend(
    { roll: -Math.sign(laps) * STICK, yaw: (Math.sign(laps) * yawDegPerS) / FULL.yawDegPerS },
    (Math.abs(laps) * FULL_TURN_DEG) / yawDegPerS,
    says,
  );
}
