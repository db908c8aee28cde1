import type { Pace } from './pace';
import type { DrillId } from '@skelby/core/drills/drills';
import type { OwnSakeFlight } from '@skelby/core/assessment/for-its-own-sake';
import type { CauseId } from '@skelby/core/causes/causes';
import type { CraftRecord, SpeedSetting } from '@skelby/core/vocabulary/craft-facts';
import type { FittedSensors } from '@skelby/core/simulator/sensors';
import type { Side } from '@skelby/core/drills/drill';
import type { ModeNow, StickPosition } from '@skelby/core/simulator/control/control';
import type { Ended, SimulatedScene, Start } from '@skelby/core/simulator/simulated-flight';
import type { Failsafe } from '@skelby/core/reconstruct/return-height';
import type { ReturnPhase } from '@skelby/core/simulator/control/auto-return';
import type { AskId } from '@skelby/core/assessment/asked';
import type { ControlAids, Stage } from '@skelby/core/assessment/exercise';
import type { Replay } from '@skelby/core/assessment/replay';
import type { Score } from '@skelby/core/assessment/score';
import type { AnswerNumber } from '@skelby/core/flight-log/flight-log';

/** What page and worker tell each other of a flight. */

/** Starts anew. */
export interface ToStart {
  readonly do: 'start';
  readonly drillId: DrillId | OwnSakeFlight;
  readonly side: Side | null;
  readonly craft: CraftRecord;
  readonly scene: SimulatedScene;
  readonly start: Start;
  readonly seed: number;
  readonly sensors: FittedSensors;
  readonly holdDrops: boolean;
  readonly returnHeightM: number;
  readonly onLinkLoss: Failsafe;
  readonly walks: boolean;
}

/** Flies on for as long as the page's last frame took. */
export interface ToFly {
  readonly do: 'fly';
  readonly sticks: StickPosition;
  readonly mode: ModeNow;
  readonly seconds: number;
  readonly answer: AnswerNumber | boolean;
  readonly takeOver: boolean;
  /** How fast time goes for the craft, against the pilot's. */
  readonly pace: Pace;
}
/** What makes a flight other than a rep is flown: it is looked at, and never counted. */
export type Unlike = 'slowed' | 'frozen' | 'taken-over';
export type ToDo =
  | ToStart
  | ToFly
  | { readonly do: 'hold'; readonly lost: boolean }
  | { readonly do: 'link'; readonly lost: boolean }
  | { readonly do: 'go-home' }
  | { readonly do: 'freeze' }
  /** Brings the flight that was begun last back to a moment of it, s. */
  | { readonly do: 'fly-from'; readonly atS: number }
  | { readonly do: 'save' };

/** Where the craft is and how far the drill has come, for drawing. */
export interface Shown {
  readonly is: 'shown';
  readonly position: readonly [number, number, number];
  readonly velocity: readonly [number, number, number];
  /** Body to world: w, x, y, z. */
  readonly attitude: readonly [number, number, number, number];
  readonly timeS: number;
  readonly charge: number;
  readonly wash: number;
  /** Of each rotor, as a share of the fastest it turns. */
  readonly rotorSpeeds: readonly number[];
  readonly landed: boolean;
  readonly ended: Ended;
  /** What the physics of this frame took, ms. */
  readonly workMs: number;
  readonly part: {
    readonly at: number;
    readonly of: number;
    readonly says: string;
    readonly hands: ControlAids;
    readonly blind: boolean;
    readonly expo: number;
    readonly asks: AskId | null;
    readonly seen: Stage['seen'] | null;
  };
  /** The speed setting that it is in, whatever the switch says; null before it flies. */
  readonly setting: SpeedSetting | null;
  readonly pilot: { readonly x: number; readonly y: number };
  readonly holdLost: boolean;
  readonly linkLost: boolean;
  readonly returning: ReturnPhase | null;
  /** Its pack is nearly flat, and it comes down by itself. */
  readonly landsItself: boolean;
  /** Nearest thing the obstacle sensors see, m; null for none. */
  readonly nearestM: number | null;
  /** Of a lap: since its first gate, s; null: there is no clock, or it has not begun. */
  readonly clockS: number | null;
}

/** A rep that is over. */
export interface Scored {
  readonly is: 'scored';
  readonly score: Score;
  readonly replay: Replay;
  readonly ended: Ended;
  /** After a crash: what the flight itself says of its cause, likeliest first. */
  readonly likely: readonly LikelyCause[];
  /** Null: flown as a rep is flown. */
  readonly unlike: Unlike | null;
  /** Of a lap that was flown to its end, s. */
  readonly lapS: number | null;
}

export interface LikelyCause {
  readonly causeId: CauseId;
  readonly probability: number;
  /** What speaks for it most, the weightiest first. */
  readonly because: readonly Because[];
}

/** A reason for a cause, in words, and the moment of the flight at which it shows; null: it has none. */
interface Because {
  readonly words: string;
  readonly atS: number | null;
}
export type FromWorker = Shown | Scored | { readonly is: 'log'; readonly csv: string };
