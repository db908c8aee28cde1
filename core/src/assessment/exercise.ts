import type { PilotedMode } from '../simulator/control/control';
import type { Axis } from '../vocabulary/flying';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import type { FlightMeasureId } from './measures/measures';
import type { RecordedValue } from './recorded-value';
import type { Path, PathPoint } from '../geometry/path';
import type { CueId } from '../vocabulary/cues';
import { type Sample, settingAt } from '../flight-log/flight-log';
import type { AskId, Thing } from './asked';

/**
 * Where the nose should point: a bearing, the way the path runs, away from the pilot, at a place, or so far
 * inside a curve.
 */
export type Nose =
  number | 'any' | 'along' | 'outward' | { readonly at: PathPoint } | { readonly insideDeg: number };

/** An upright square opening; bearing in which it is flown through, degrees clockwise from north. */
export interface GateOpening {
  readonly at: PathPoint;
  readonly facingDeg: number;
  readonly wideM: number;
}

/** When a part of a drill is over. */
export type Until =
  | { readonly is: 'for'; readonly seconds: number }
  /** At the end of the path; where `standS` is given it must stand there for so long. */
  | { readonly is: 'there'; readonly standS: number }
  | { readonly is: 'nose' }
  /** Flown through an upright opening, in the direction it faces; past it does not do. */
  | { readonly is: 'through'; readonly opening: GateOpening }
  /** Something comes unforeseen, between so many seconds. */
  | { readonly is: 'surprise'; readonly afterS: readonly [number, number] }
  | { readonly is: 'still'; readonly standS: number }
  | { readonly is: 'landed' }
  | { readonly is: 'safe' }
  | { readonly is: 'answered' }
  /** At the end of the path, or held off by its sensors for so long while the stick still asks for more. */
  | { readonly is: 'held-off'; readonly standS: number }
  | { readonly is: 'taken-over' }
  | { readonly is: 'leaned'; readonly deg: number; readonly seconds: number }
  | { readonly is: 'in-wash' }
  | { readonly is: 'out-of-wash' };

/** What is done to the craft, or said to the pilot, as a part begins. */
export type Surprise =
  | 'call'
  | 'hold-lost'
  | 'upset'
  | 'snap-over'
  | 'return'
  | 'spun'
  | 'carried-off'
  /** Set back to where the part's way begins, its nose as the part asks. */
  | 'set-back';

/** What hands do in a part. `fly` holds to the path. */
export type ControlAids =
  'fly' | 'off' | 'stop' | 'recover' | 'sink' | 'lean' | 'find-nose' | 'nose-first' | 'answer' | 'take-over';

/** A part of a drill. */
export interface Stage {
  /** Told to the pilot. */
  readonly says: CueId;
  readonly path: Path;
  /** Where the way depends on the speed setting that the part begins in. */
  readonly pathIn?: Readonly<Record<SpeedSetting, Path>>;
  readonly nose: Nose;
  readonly until: Until;
  readonly hands: ControlAids;
  /** An easy pace for it, m/s. */
  readonly speedMps: number;
  /** At its beginning not measured, s. */
  readonly settleS: number;
  readonly begins?: Surprise;
  /** A speed setting is drawn from these by lot as the part begins; absent: it stays as it is. */
  readonly drawnFrom?: readonly SpeedSetting[];
  /** The only stick that should move. */
  readonly axis?: Axis;
  /** Expo of the sticks, 0 to 1. */
  readonly expo?: number;
  /** Flown in pilot-relative mode. */
  readonly relative?: true;
  /** The pilot does not look. */
  readonly blind?: true;
  /** Seen through the camera, or looked up from it, and without figures beside it; absent: as the pilot has it. */
  readonly seen?: 'camera' | 'by-eye';
  /** What the pilot is asked, with answers to choose from. */
  readonly asks?: AskId;
}

/** A part as it begins with a line: its way where that depends on the setting. */
export const stageBegun = (stage: Stage, s: Sample): Stage =>
  stage.pathIn ? { ...stage, path: stage.pathIn[settingAt(s)] } : stage;

/** One condition of the standard. Parts by their numbers; all of them where none are given. */
export interface ExerciseStandard {
  readonly of: FlightMeasureId;
  readonly most?: number;
  readonly least?: number;
  /** The limit where position is held for the pilot. */
  readonly mostWithHold?: number;
  /** Only where height is not held for the pilot. */
  readonly byHandOnly?: true;
  readonly in?: readonly number[];
}

/** Distance kept behind the pilot who is walked after, m. Ours. */
export const LEAD_DISTANCE_M = 6.5;

/** A pilot who walks, and the way taken. */
export interface Walk {
  readonly points: readonly (readonly [number, number])[];
  readonly speedMps: number;
}

/** A drill as it is flown and measured on the simulator or in a flight log. */
export interface Exercise {
  readonly stages: readonly Stage[];
  readonly standards: readonly ExerciseStandard[];
  /** What is written down of a rep beside met or missed. */
  readonly recorded?: RecordedValue;
  /** What it must be flown in; see `modeFlown`. */
  readonly mode?: PilotedMode;
  readonly setting?: SpeedSetting;
  readonly walk?: Walk;
  /** What stands about and is asked for. */
  readonly things?: readonly Thing[];
  /** Without obstacle sensors there is nothing to find out. */
  readonly needsSensors?: true;
  /** The pilot walks about while it is flown; the drill itself stays where it is. */
  readonly pilotWalks?: Walk;
}

/**
 * What a drill is flown in: as it asks for, but whoever flies in rate mode does by hand what others do level
 * by themselves. @param usual as the pilot and the drill's assistance have it
 */
export const modeFlown = ({ mode }: Pick<Exercise, 'mode'>, usual: PilotedMode): PilotedMode =>
  mode === undefined || (mode === 'self-level' && usual === 'rate') ? usual : mode;

const USUAL_SPEED_MPS = 2.5;

type Part = Partial<Omit<Stage, 'path' | 'says'>>;
const stage = (says: CueId, path: Path, part: Part): Stage => ({
  nose: 'any',
  until: { is: 'there', standS: 0 },
  hands: 'fly',
  speedMps: USUAL_SPEED_MPS,
  settleS: 0,
  ...part,
  says,
  path,
});

/** Held over a place. */
export const stay = (says: CueId, at: PathPoint, seconds: number, part: Part = {}): Stage =>
  stage(says, { is: 'point', at }, { until: { is: 'for', seconds }, settleS: 1, ...part });
/** From one place to the next. */
export const leg = (says: CueId, from: PathPoint, to: PathPoint, part: Part = {}): Stage =>
  stage(says, { is: 'segment', from, to }, part);
/** Round a centre, nose first. */
export const round = (says: CueId, arc: Omit<Extract<Path, { is: 'arc' }>, 'is'>, part: Part = {}): Stage =>
  stage(says, { is: 'arc', ...arc }, { nose: 'along', ...part });
/** Where there is no way to keep to: near a place, hands doing what they must. */
export const free = (says: CueId, near: PathPoint, until: Until, part: Part = {}): Stage =>
  stage(says, { is: 'point', at: near }, { until, ...part });
