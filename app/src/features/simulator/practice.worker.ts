import { cueWords } from '@skelby/copy/cues';
import { said } from '@skelby/copy/say';
import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import { type CraftRecord, craftFacts, type SpeedSetting } from '@skelby/core/vocabulary/craft-facts';
import type { FittedSensors } from '@skelby/core/simulator/sensors';
import type { Side } from '@skelby/core/drills/drill';
import type { ModeNow, StickPosition } from '@skelby/core/simulator/control/control';
import { type CraftModel, craftModel } from '@skelby/core/simulator/craft-model';
import {
  type Ended,
  type SimulatedScene,
  type Start,
  PHYSICS_STEP_S,
} from '@skelby/core/simulator/simulated-flight';
import type { Failsafe } from '@skelby/core/reconstruct/return-height';
import type { ReturnPhase } from '@skelby/core/simulator/control/auto-return';
import type { AskId } from '@skelby/core/assessment/asked';
import type { Exercise, ControlAids, Stage } from '@skelby/core/assessment/exercise';
import { courseFlown, exerciseOf } from '@skelby/core/assessment/exercises';
import { pilotAt } from '@skelby/core/assessment/walk';
import { RepFlight } from '@skelby/core/assessment/rep';
import { type Replay, replayOf } from '@skelby/core/assessment/replay';
import { partsOf, type Score, scoreFlightLog } from '@skelby/core/assessment/score';
import { rank } from '@skelby/core/ranking/rank';
import { answersOf } from '@skelby/core/evidence/evidence';
import { evidenceOf, readFlight } from '@skelby/core/flight-reading/read-flight';
import { type AnswerNumber, settingAt } from '@skelby/core/flight-log/flight-log';
import { flightLogCsv } from '@skelby/core/flight-log/reading';

/** Starts anew. */
export interface ToStart {
  readonly do: 'start';
  readonly drillId: DrillId;
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
}
export type ToDo =
  | ToStart
  | ToFly
  | { readonly do: 'hold'; readonly lost: boolean }
  | { readonly do: 'link'; readonly lost: boolean }
  | { readonly do: 'go-home' }
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
}

/** A rep that is over. */
export interface Scored {
  readonly is: 'scored';
  readonly score: Score;
  readonly replay: Replay;
  readonly ended: Ended;
  /** After a crash: what the flight itself says of its cause, likeliest first. */
  readonly likely: readonly LikelyCause[];
}

export interface LikelyCause {
  readonly causeId: CauseId;
  readonly probability: number;
  /** What speaks for it most, the weightiest first. */
  readonly because: readonly Because[];
}

/** A reason for a cause, in words, and the moment of the flight at which it shows; null: it has none. */
export interface Because {
  readonly words: string;
  readonly atS: number | null;
}
export type FromWorker = Shown | Scored | { readonly is: 'log'; readonly csv: string };

/** A page that stood still does not make the craft jump. */
const LONGEST_S = 0.1;
const MOST_CAUSES = 3;
const WORTH_SAYING = 0.1;
const MOST_REASONS = 4;

let craft: CraftModel | null = null;
let course: Exercise | null = null;
let rep: RepFlight | null = null;
let begun: ToStart | null = null;
let owed = 0;
let scored = false;

function shown(
  { flight, referee, holdIsLost, linkIsLost, autoReturn, landsItself, nearestM, writer }: RepFlight,
  flown: Exercise,
  workMs: number,
): Shown {
  const { body, timeS, charge, wash, landed, ended, acting } = flight;
  const { says, hands, blind = false, expo = 0, asks = null, seen = null } = referee.stage;
  const { x, y } = pilotAt(flown, timeS);
  return {
    is: 'shown',
    position: [body.px, body.py, body.pz],
    velocity: [body.vx, body.vy, body.vz],
    attitude: [body.qw, body.qx, body.qy, body.qz],
    timeS,
    charge,
    wash,
    rotorSpeeds: Array.from(acting.rotorSpeed),
    landed,
    ended,
    workMs,
    part: { at: referee.at, of: flown.stages.length, says: cueWords(says), hands, blind, expo, asks, seen },
    setting: writer.length > 0 ? settingAt(writer.line(writer.length - 1)) : null,
    pilot: { x, y },
    holdLost: holdIsLost,
    linkLost: linkIsLost,
    returning: autoReturn?.phase ?? null,
    landsItself,
    nearestM: Number.isFinite(nearestM) ? nearestM : null,
  };
}

function begin(from: ToStart): void {
  begun = from;
  craft = craftModel(craftFacts(from.craft));
  const exercise = exerciseOf(from.drillId, from.side);
  if (!exercise) throw new RangeError(`"${from.drillId}" is not flown on the simulator.`);
  course = courseFlown(exercise, from.walks);
  rep = new RepFlight({ ...from, craft, course });
  owed = 0;
  scored = false;
}

/** Reads a crash as a debrief would, and ranks what it read. */
function likelyCauses(
  { flight: { ended }, writer }: RepFlight,
  flown: Exercise,
  model: CraftModel,
  from: ToStart,
): readonly LikelyCause[] {
  if (!ended) return [];
  const [track, facts, { solids }] = [writer.track(), craftFacts(from.craft), from.scene];
  const { segments: cuts } = partsOf(track, { course: flown, craft: model, solids });
  const read = readFlight({
    track,
    cuts,
    atS: ended.atS,
    ended,
    facts,
    solids,
    simulated: { returnHeightM: from.returnHeightM, onLinkLoss: from.onLinkLoss, pilotWalked: from.walks },
  });
  const shownAt = (id: string) => read.findings.find((finding) => finding.id === id)?.atS ?? null;
  return rank(answersOf(evidenceOf(read)), facts)
    .causes.slice(0, MOST_CAUSES)
    .filter((cause, i) => i === 0 || cause.probability >= WORTH_SAYING)
    .map(({ id, probability, reasons }) => ({
      causeId: id,
      probability,
      because: reasons
        .filter((reason) => reason.weight > 0)
        .slice(0, MOST_REASONS)
        .map(({ said: words, evidence }) => ({ words: said(words), atS: shownAt(evidence) })),
    }));
}

const post = (message: FromWorker) => self.postMessage(message);

/** Does what the page asks of the flight. @returns whether there is something new to see */
function carryOut(what: Exclude<ToDo, ToStart>, flight: RepFlight, from: ToStart): boolean {
  switch (what.do) {
    case 'fly':
      owed += Math.min(LONGEST_S, what.seconds);
      for (; owed >= PHYSICS_STEP_S; owed -= PHYSICS_STEP_S) flight.step(what.sticks, what.mode, what);
      return true;
    case 'hold':
      flight.dropHold(what.lost);
      return true;
    case 'link':
      flight.loseLink(what.lost);
      return true;
    case 'go-home':
      flight.goHome();
      return true;
    case 'save': {
      const told = [
        `drill: ${from.drillId}`,
        ...(from.side ? [`side: ${from.side}`] : []),
        'flown on the simulator',
      ];
      post({ is: 'log', csv: flightLogCsv(flight.writer.track(), told) });
      return false;
    }
  }
}

/** Judges the rep that is over. */
function judge(flight: RepFlight, flown: Exercise, model: CraftModel, from: ToStart): void {
  const track = flight.writer.track();
  const score = scoreFlightLog(track, flown, model, from.scene.solids);
  post({
    is: 'scored',
    score,
    replay: replayOf(track, -Infinity, score.toS),
    ended: flight.flight.ended,
    likely: likelyCauses(flight, flown, model, from),
  });
}

self.onmessage = ({ data }: MessageEvent<ToDo>) => {
  const began = performance.now();
  if (data.do === 'start') begin(data);
  if (!rep || !course || !craft || !begun) return;
  if (data.do !== 'start' && !carryOut(data, rep, begun)) return;
  post(shown(rep, course, performance.now() - began));
  if (!rep.isOver || scored) return;
  scored = true;
  judge(rep, course, craft, begun);
};
