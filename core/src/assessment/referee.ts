import { passedThrough } from './gate-opening';
import type { CraftModel } from '../simulator/craft-model';
import { vortexRingState } from '../reconstruct/vortex-ring-state';
import { answerIn, type Sample, type LogEventName, turned } from '../flight-log/flight-log';
import { headingOf, leanOf, thrustAxis } from '../geometry/rotation';
import { type Exercise, type Stage, stageBegun, type Until } from './exercise';
import { leadAt, pilotAt } from './walk';
import { bearing, offsetFromPath, type PathOffset, lengthOf, wayRound } from '../geometry/path';

/** Whoever counts what happens unforeseen: 0 to 1. */
export interface Chance {
  uniform(): number;
}

/** So near to the end of a path counts as there, standing: a share of a short one; and just passing. */
const THERE_M = 4;
const THERE_SHARE = 0.4;
const LEAST_THERE_M = 0.6;
const PASSING_M = 0.3;
/** Further off than this the end of a way was not passed, m. */
const PASSED_WIDE_M = 6;
const STILL_MPS = 0.5;
const NOSE_DEG = 8;
/** A stick that asks to go on, and how far it has come when its sensors may have stopped it, m. */
const ASKS_FOR_MORE = 0.1;
const HELD_OFF_AFTER_M = 2;
/** Before a part is given up. */
const PATIENCE = 4;
const PATIENCE_S = 25;
/** Safe: upright, nose where it goes, slow ahead, not sinking. Common practice. */
const SAFE = { leanDeg: 20, noseDeg: 40, mostMps: 6, creepMps: 0.3, sinkMps: 2, forS: 0.5 } as const;
const IN_WASH = 0.3;
const OUT_OF_WASH = 0.1;
const OUT_FOR_S = 0.6;

export const speedOver = ({ vx, vy }: Pick<Sample, 'vx' | 'vy'>): number => Math.hypot(vx, vy);

/** The bearing that the nose should have in a part; null when it does not matter. */
export function noseWanted(
  part: Pick<Stage, 'nose' | 'path'>,
  sample: Pick<Sample, 'x' | 'y'>,
  at: PathOffset,
  pilot: { readonly x: number; readonly y: number },
): number | null {
  const { nose } = part;
  if (nose === 'any') return null;
  if (nose === 'along') return at.bearingDeg;
  if (nose === 'outward') return bearing(sample.x - pilot.x, sample.y - pilot.y);
  if (typeof nose === 'number') return nose;
  if ('at' in nose) return bearing(nose.at[0] - sample.x, nose.at[1] - sample.y);
  return at.bearingDeg + clockwiseOf(part) * nose.insideDeg;
}

export const clockwiseOf = ({ path }: Pick<Stage, 'path'>): number =>
  path.is === 'arc' ? Math.sign(path.sweepDeg) : 0;

/**
 * The air that a craft meets, m/s: through its discs from below, and across them; and how upright it is, 1 to
 * −1.
 */
export function airAtDiscs(s: Sample): {
  readonly throughMps: number;
  readonly acrossMps: number;
  readonly upright: number;
} {
  const [nx, ny, nz] = thrustAxis(s);
  const [ax, ay, az] = [s.vx - (s.windX || 0), s.vy - (s.windY || 0), s.vz - (s.windZ || 0)];
  const throughMps = -(ax * nx + ay * ny + az * nz);
  return {
    throughMps,
    acrossMps: Math.sqrt(Math.max(0, ax * ax + ay * ay + az * az - throughMps * throughMps)),
    upright: nz,
  };
}

/** How deep in the states of its own wash a craft is, 0 to 1. */
export function washTrouble(craft: CraftModel, s: Sample): number {
  const { throughMps, acrossMps } = airAtDiscs(s);
  return vortexRingState(Math.max(-50, Math.min(100, throughMps)), Math.min(100, acrossMps), craft.inducedMps)
    .trouble;
}

const isStill = ({ vx, vy, vz }: Sample): boolean => Math.hypot(vx, vy, vz) < STILL_MPS;
/** What is written down of a flight where something came unforeseen. */
const SURPRISES: ReadonlySet<LogEventName> = new Set(['call', 'hold-lost', 'upset', 'snap-over', 'return']);

/** Ends of a part that are states of the craft. */
type State = Extract<Until, { readonly is: 'safe' | 'leaned' | 'in-wash' | 'out-of-wash' }>;

export type ExerciseOver = 'finished' | 'given-up' | 'at-pilot';

/** Nearer than this to whoever flies it, m, a rep is over: it came at them. Common practice. */
export const NEAREST_TO_PILOT_M = 4;
/** Where a standing person is hit, m above ground. */
const CHEST_M = 1.4;

/**
 * Follows a flight through the parts of a drill, line by line, and says which is being flown. What comes
 * unforeseen comes by chance in practice, and from what was written
 * down in a log.
 */
export class Referee {
  at = 0;
  over: ExerciseOver | null = null;
  /** s at which the part began. */
  beganS: number;
  /** Degrees come round on the part's arc. */
  round = 0;
  offset: PathOffset;
  /** The part that is being flown. */
  stage: Stage;
  private since: number | null = null;
  private surpriseS = Infinity;
  private leanedS = 0;
  private lastS: number;
  private lastAt: Sample;
  private readonly firstS: number;

  /** @param chance null for a log: surprises come from its events */
  constructor(
    private readonly course: Exercise,
    private readonly craft: CraftModel,
    first: Sample,
    private readonly chance: Chance | null,
  ) {
    this.beganS = first.t;
    [this.lastS, this.lastAt] = [first.t, first];
    this.firstS = first.t;
    this.stage = stageBegun(course.stages[0]!, first);
    this.offset = this.place(first);
    this.draw();
  }

  /**
   * @param happened what was written down since the last line. @returns whether another part begins with this
   * line
   */
  follow(s: Sample, happened: readonly LogEventName[] = []): boolean {
    if (this.over) return false;
    if (this.isAtPilot(s)) {
      this.over = 'at-pilot';
      return false;
    }
    this.offset = this.place(s);
    const passed = this.isOver(s, happened);
    [this.lastS, this.lastAt] = [s.t, s];
    if (!passed) {
      if (s.t - this.beganS > this.patience()) this.over = 'given-up';
      return false;
    }
    if (this.at === this.course.stages.length - 1) {
      this.over = 'finished';
      return false;
    }
    this.at += 1;
    this.stage = stageBegun(this.course.stages[this.at]!, s);
    this.beganS = s.t;
    [this.since, this.leanedS, this.round] = [null, 0, 0];
    this.offset = this.place(s);
    this.draw();
    return true;
  }

  private isAtPilot({ t, x, y, z }: Sample): boolean {
    const pilot = pilotAt(this.course, t - this.firstS);
    return Math.hypot(x - pilot.x, y - pilot.y, z - CHEST_M) < NEAREST_TO_PILOT_M;
  }

  private place(s: Sample): PathOffset {
    const { path } = this.stage;
    if (path.is === 'arc') this.round = wayRound(path, s.x, s.y, this.round);
    if (this.course.walk) {
      const height = path.is === 'point' ? path.at[2] : s.z;
      const { at } = leadAt(this.course.walk, s.t - this.beganS, height);
      return offsetFromPath({ is: 'point', at }, [s.x, s.y, s.z]);
    }
    return offsetFromPath(path, [s.x, s.y, s.z], this.round);
  }

  private draw(): void {
    const { until } = this.stage;
    if (until.is !== 'surprise') {
      this.surpriseS = Infinity;
      return;
    }
    const [least, most] = until.afterS;
    this.surpriseS = this.chance ? this.beganS + least + (most - least) * this.chance.uniform() : Infinity;
  }

  private patience(): number {
    const { until, path, speedMps } = this.stage;
    if (until.is === 'for') return Infinity;
    return PATIENCE_S + (PATIENCE * lengthOf(path)) / speedMps;
  }

  /** Whether it has been so for so long. */
  private lasts(now: boolean, t: number, forS: number): boolean {
    if (!now) {
      this.since = null;
      return false;
    }
    this.since ??= t;
    return t - this.since >= forS;
  }

  /** Whether the end of the way is reached: passed, or stood at for so long. */
  private isThere(s: Sample, standS: number): boolean {
    const length = lengthOf(this.stage.path);
    const { alongTrackM, crossTrackM } = this.offset;
    const left = length - alongTrackM;
    if (standS === 0) return left < PASSING_M && crossTrackM < PASSED_WIDE_M;
    const near = Math.min(THERE_M, Math.max(LEAST_THERE_M, THERE_SHARE * length));
    const isNear = Math.abs(left) < near && crossTrackM < (length > 0 ? PASSED_WIDE_M : near);
    return this.lasts(isNear && isStill(s), s.t, standS);
  }

  /** It stands; and it must have moved before, or been asked to stop. */
  private hasStopped(s: Sample, standS: number): boolean {
    const { path, begins } = this.stage;
    const moved = path.is !== 'segment' || this.offset.alongTrackM > 2;
    const asked = s.t - this.beganS > 1 || begins !== undefined;
    return this.lasts(isStill(s) && asked && moved, s.t, standS);
  }

  /** It stands on its way though the stick asks for more. */
  private isHeldOff(s: Sample, standS: number): boolean {
    const asks = Math.max(Math.abs(s.pitch), Math.abs(s.roll)) >= ASKS_FOR_MORE;
    const isOnItsWay = this.offset.alongTrackM > HELD_OFF_AFTER_M;
    return this.lasts(isStill(s) && asks && isOnItsWay, s.t, standS);
  }

  private noseIsThere(s: Sample): boolean {
    const wanted = noseWanted(this.stage, s, this.offset, { x: 0, y: 0 });
    return this.lasts(wanted === null || Math.abs(turned(headingOf(s), wanted)) < NOSE_DEG, s.t, 0.4);
  }

  private hasLeaned(s: Sample, deg: number, seconds: number): boolean {
    if (leanOf(s) > 0.85 * Math.min(deg, this.steepestDeg())) this.leanedS += s.t - this.lastS;
    return this.leanedS >= seconds;
  }

  private isOver(s: Sample, happened: readonly LogEventName[]): boolean {
    const { until, settleS } = this.stage;
    switch (until.is) {
      case 'for':
        return s.t - this.beganS >= settleS + until.seconds;
      case 'there':
        return this.isThere(s, until.standS);
      case 'nose':
        return this.noseIsThere(s);
      case 'through':
        return passedThrough(until.opening, this.lastAt, s);
      case 'surprise':
        return this.chance ? s.t >= this.surpriseS : happened.some((each) => SURPRISES.has(each));
      case 'still':
        return this.hasStopped(s, until.standS);
      case 'landed':
        return this.lasts(s.z < 0.01, s.t, 0.6);
      case 'answered':
        return happened.some((each) => answerIn(each) !== null);
      case 'held-off':
        return this.isThere(s, 0) || this.isHeldOff(s, until.standS);
      case 'taken-over':
        return happened.includes('take-over');
      default:
        return this.isInState(s, until);
    }
  }

  /** Whether the craft is as the part wants it. */
  private isInState(s: Sample, until: State): boolean {
    switch (until.is) {
      case 'safe':
        return this.lasts(isSafe(s), s.t, SAFE.forS);
      case 'leaned':
        return this.hasLeaned(s, until.deg, until.seconds);
      case 'in-wash':
        return washTrouble(this.craft, s) > IN_WASH;
      case 'out-of-wash':
        return this.lasts(washTrouble(this.craft, s) < OUT_OF_WASH && s.vz > -1, s.t, OUT_FOR_S);
    }
  }

  private steepestDeg(): number {
    return (this.craft.leanRad[this.course.setting ?? 'normal'] * 180) / Math.PI;
  }
}

function isSafe(s: Sample): boolean {
  const speed = speedOver(s);
  const nose = Math.abs(turned(headingOf(s), bearing(s.vx, s.vy)));
  return (
    leanOf(s) < SAFE.leanDeg &&
    s.vz > -SAFE.sinkMps &&
    speed < SAFE.mostMps &&
    speed > SAFE.creepMps &&
    nose < SAFE.noseDeg
  );
}
