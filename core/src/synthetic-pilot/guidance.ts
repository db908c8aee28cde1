import type { Stage } from '../assessment/exercise';
import { clockwiseOf, noseWanted, type Referee } from '../assessment/referee';
import { leadAt, pilotAt } from '../assessment/walk';
import { type Sample, turned } from '../flight-log/flight-log';
import { bearing, lengthOf, offsetFromPath, type PathOffset } from '../geometry/path';
import { headingOf } from '../geometry/rotation';
import { type PilotedMode, YAW_RATE } from '../simulator/control/control';
import { clamp, DEGREE, type FlyingHands, isByHand, type Perception, type Velocity } from './hands';

const BRAKE_MPS2 = 1.6;
/** Sink that steady hands keep to, as a share of the induced speed of hovering. */
const SINKS_AT = 0.4;
/** And beyond that of the way itself, m/s. */
const MAKES_UP_MPS = 0.5;
/** Beside the middle of an opening, for whoever aims at its frame, m. */
const FRAME_OFF_M = 0.85;
/** Whoever does not look where nothing sees goes there as fast as ahead: so many times the pace. */
const BACKS_AT = 2;

type Path = Stage['path'];
type Line = Extract<Path, { is: 'segment' }>;
type Bend = Extract<Path, { is: 'arc' }>;

/** Where the craft is beside the way that it should fly. */
export function besideWay({ course }: FlyingHands, stage: Stage, s: Sample, referee: Referee): PathOffset {
  if (!course.walk) return offsetFromPath(stage.path, [s.x, s.y, s.z], referee.round);
  const height = stage.path.is === 'point' ? stage.path.at[2] : s.z;
  const { at, bearingDeg } = leadAt(course.walk, s.t - referee.beganS, height);
  return { alongTrackM: 0, crossTrackM: 0, nearest: at, bearingDeg };
}

/** The speed over the ground and up that is wanted now. */
export function velocityWanted(hands: FlyingHands, seen: Perception, stage: Stage, at: PathOffset): Velocity {
  const { path } = stage;
  if (path.is === 'point') return toPoint(hands, seen, stage, at);
  if (path.is === 'arc') return roundBend(hands, seen, { ...stage, path }, at);
  return alongLine(hands, seen, { ...stage, path }, at);
}

/** How hard what is off the way is corrected, 1/s. */
const pullOf = ({ skill }: FlyingHands, { mode }: Perception): number =>
  (mode === 'position-hold' ? 0.8 : mode === 'rate' ? 0.7 : 0.9) * skill.gain;

function toPoint(hands: FlyingHands, seen: Perception, stage: Stage, at: PathOffset): Velocity {
  const { course, habits } = hands;
  if (habits.has('backs-blind') && stage.until.is === 'nose') return [0, -2, 0];
  const [ox, oy] = [at.nearest[0] - seen.s.x, at.nearest[1] - seen.s.y];
  const far = Math.hypot(ox, oy);
  const most = course.walk ? 2 : Math.max(0.8, stage.speedMps * 0.6);
  const pull = Math.min(pullOf(hands, seen) * far, most);
  const [vx, vy] = far > 0 ? [(ox / far) * pull, (oy / far) * pull] : [0, 0];
  if (!course.walk) return [vx, vy, 0];
  const b = at.bearingDeg * DEGREE;
  return [vx + course.walk.speedMps * Math.sin(b), vy + course.walk.speedMps * Math.cos(b), 0];
}

function roundBend(
  hands: FlyingHands,
  seen: Perception,
  { path, speedMps }: Stage & { readonly path: Bend },
  at: PathOffset,
): Velocity {
  if (hands.habits.has('spins-its-turns')) {
    const back = (path.fromDeg - 90 * Math.sign(path.sweepDeg)) * DEGREE;
    return [3 * speedMps * Math.sin(back), 3 * speedMps * Math.cos(back), -9];
  }
  const [ox, oy] = [at.nearest[0] - seen.s.x, at.nearest[1] - seen.s.y];
  const b = at.bearingDeg * DEGREE;
  const out = Math.hypot(ox, oy);
  const pull = out > 0 ? Math.min(pullOf(hands, seen) * out, 1.5) / out : 0;
  return [speedMps * Math.sin(b) + ox * pull, speedMps * Math.cos(b) + oy * pull, 0];
}

/** How far on whoever brakes late still flies, m. */
export const lateBrakingM = (speedMps: number): number => 3.5 + speedMps * 0.7;

/** The speed along a line from which it still stops where it should. */
function speedAlong({ habits }: FlyingHands, { s, mode }: Perception, stage: Stage, leftM: number): number {
  const { until, speedMps, path } = stage;
  // Sinking it is braked early and softly: whoever stops short above its own wash drops into it.
  const brake = path.is === 'segment' && path.to[2] < path.from[2] - 1 ? BRAKE_MPS2 / 2 : BRAKE_MPS2;
  if (!(until.is === 'still' || (until.is === 'there' && until.standS > 0))) return speedMps;
  const late = habits.has('brakes-late')
    ? lateBrakingM(speedMps)
    : habits.has('goes-too-far') && until.is === 'still'
      ? 6
      : 0;
  const lag = mode === 'position-hold' ? 0.5 : 0.3;
  const room = leftM - lag * Math.hypot(s.vx, s.vy) + late;
  return Math.sign(room) * Math.min(speedMps, Math.sqrt(2 * brake * Math.abs(room)), 1.2 * Math.abs(room));
}

/** To the side of the nose or behind it. */
const isBlindWay = (s: Sample, { from, to }: Line): boolean =>
  Math.hypot(to[0] - from[0], to[1] - from[1]) > 0 &&
  Math.abs(turned(headingOf(s), bearing(to[0] - from[0], to[1] - from[1]))) > 60;

function alongLine(
  hands: FlyingHands,
  seen: Perception,
  stage: Stage & { readonly path: Line },
  at: PathOffset,
): Velocity {
  const { s } = seen;
  const { from, to } = stage.path;
  const k = pullOf(hands, seen);
  const [ox, oy] = [at.nearest[0] - s.x, at.nearest[1] - s.y];
  const length = lengthOf(stage.path);
  if (hands.habits.has('drops-straight-down') && to[2] < from[2] - 0.2 * length) return [0, 0, -1];
  if (length === 0) return [clamp(k * ox, 2), clamp(k * oy, 2), 0];
  const hurry = hands.habits.has('backs-blind') && isBlindWay(s, stage.path) ? BACKS_AT : 1;
  const speed = hurry * speedAlong(hands, seen, stage, length - at.alongTrackM);
  const d: Velocity = [(to[0] - from[0]) / length, (to[1] - from[1]) / length, (to[2] - from[2]) / length];
  const across = Math.hypot(ox, oy);
  const pull = across > 0 ? Math.min(k * across, 1.2) / across : 0;
  const aside = hands.habits.has('aims-at-the-frame') ? clamp(k * (ox + FRAME_OFF_M), 1.2) : ox * pull;
  return [speed * d[0] + aside, speed * d[1] + oy * pull, speed * d[2]];
}

/** The climb that is wanted, m/s. @param upMps of the way itself */
export function climbWanted(
  { craft, skill, habits }: FlyingHands,
  { s, mode }: Perception,
  { stage, at }: { readonly stage: Stage; readonly at: PathOffset },
  upMps: number,
): number {
  // What was lost of a descent is not made up by sinking much faster: the wash is below.
  const least = Math.max(upMps - MAKES_UP_MPS, -SINKS_AT * craft.inducedMps);
  let up = Math.max(upMps + 1.2 * skill.gain * (at.nearest[2] - s.z), least);
  if (stage.until.is === 'landed') up = landingClimb(s.z, at.crossTrackM, mode);
  if (habits.has('drops-straight-down') && upMps < -0.1) up = -0.9 * craft.inducedMps;
  if (habits.has('rises-early') && risesHere(stage, at)) up = 1.2;
  if (habits.has('lingers-low') && s.z < 0.5) up = Math.max(-0.03, Math.min(up, 0.15));
  return up;
}

/** Before the end of a level way; and at once on the way home from under whatever there is. */
const risesHere = ({ path }: Stage, { alongTrackM }: PathOffset): boolean =>
  path.is === 'segment' &&
  (path.from[2] === path.to[2]
    ? alongTrackM > 0.45 * lengthOf(path)
    : path.to[2] < path.from[2] && alongTrackM < 0.3 * lengthOf(path));

/** Down to a pad: slow near the ground, waiting over it until it is over its middle. */
function landingClimb(heightM: number, offM: number, mode: PilotedMode): number {
  if (heightM < 0.08) return isByHand(mode) ? -0.5 : -1;
  if (heightM < 0.8) return -0.32;
  return heightM < 1.4 && offM > 0.2 ? 0 : -0.6;
}

/** Yaw stick that brings the nose where the drill wants it. */
export function yawWanted(hands: FlyingHands, seen: Perception, stage: Stage, at: PathOffset): number {
  const { course, habits, skill } = hands;
  const { s, referee, setting } = seen;
  const wanted = noseWanted(stage, s, at, pilotAt(course, s.t - referee.beganS));
  if (wanted === null) return 0;
  if (habits.has('switches-relative-turned') && stage.nose === 'outward' && !course.walk)
    return clamp((turned(headingOf(s), wanted + 90) * DEGREE * 1.8) / YAW_RATE[setting], 0.9);
  const off = turned(headingOf(s), wanted);
  if (habits.has('spins-its-turns') && stage.path.is === 'arc') return clamp(off * 0.2, 1);
  const { path } = stage;
  const rate = path.is === 'arc' ? (clockwiseOf(stage) * stage.speedMps) / path.radiusM : 0;
  if (Math.abs(off) < 2.5 && rate === 0) return 0;
  return clamp((1.8 * skill.gain * off * DEGREE + rate) / YAW_RATE[setting], 0.9);
}

/** Where these hands think the nose points, as a bearing. */
export function believedHeading({ course, habits }: FlyingHands, { s, referee }: Perception): number {
  const heading = headingOf(s);
  const { x, y } = course.walk ? { x: 0, y: 0 } : s;
  const seenNose = turned(bearing(x, y), heading);
  if (habits.has('guesses-the-nose') && referee.stage.begins === 'carried-off') return heading + 140;
  if (habits.has('mirrors-nose-in') && Math.abs(seenNose) > 120) return heading + 180;
  if (habits.has('flies-side-on-as-tail-in') && Math.abs(seenNose) > 50 && Math.abs(seenNose) < 130)
    return bearing(x, y);
  return heading;
}
