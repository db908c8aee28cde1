import type { FromWorker, LikelyCause, Shown, ToDo, ToFly, ToStart, Unlike } from './practice-messages';
import { cueWords } from '@skelby/copy/cues';
import { said } from '@skelby/copy/say';
import { isDrillId } from '@skelby/core/drills/drills';
import { lapSeconds, ownSakeFlight } from '@skelby/core/assessment/for-its-own-sake';
import { craftFacts } from '@skelby/core/vocabulary/craft-facts';
import { type CraftModel, craftModel } from '@skelby/core/simulator/craft-model';
import { PHYSICS_STEP_S } from '@skelby/core/simulator/simulated-flight';
import type { Exercise } from '@skelby/core/assessment/exercise';
import { courseFlown, exerciseOf } from '@skelby/core/assessment/exercises';
import { pilotAt } from '@skelby/core/assessment/walk';
import { RepFlight } from '@skelby/core/assessment/rep';
import { FlightTape } from '@skelby/core/assessment/tape';
import { replayOf } from '@skelby/core/assessment/replay';
import { partsOf, scoreFlightLog } from '@skelby/core/assessment/score';
import { rank } from '@skelby/core/ranking/rank';
import { answersOf } from '@skelby/core/evidence/evidence';
import { evidenceOf, readFlight } from '@skelby/core/flight-reading/read-flight';
import { settingAt } from '@skelby/core/flight-log/flight-log';
import { flightLogCsv } from '@skelby/core/flight-log/reading';

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
let tape = new FlightTape();
let unlike: Unlike | null = null;
let lapFromS: number | null = null;

/** The clock of a lap begins with the second part of its way. */
function clockOf({ at, beganS }: RepFlight['referee'], timeS: number): number | null {
  if (begun?.drillId !== 'lap' || at === 0) return null;
  lapFromS ??= beganS;
  return timeS - lapFromS;
}

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
    clockS: clockOf(referee, timeS),
  };
}

function begin(from: ToStart): void {
  begun = from;
  craft = craftModel(craftFacts(from.craft));
  const exercise = isDrillId(from.drillId)
    ? exerciseOf(from.drillId, from.side)
    : ownSakeFlight(from.drillId, 'position-hold').course;
  if (!exercise) throw new RangeError(`"${from.drillId}" is not flown on the simulator.`);
  course = courseFlown(exercise, from.walks);
  rep = new RepFlight({ ...from, craft, course });
  owed = 0;
  scored = false;
  tape = new FlightTape();
  unlike = null;
  lapFromS = null;
}

/** The same flight once more, up to a moment of it: from there on it is the hands' again. */
function flyFrom(from: ToStart, atS: number): void {
  const flown = tape;
  begin(from);
  tape = flown.upTo(rep!, atS);
  unlike = 'taken-over';
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

/** Whole steps of the physics for the time that is owed. */
function flySteps(flight: RepFlight, { sticks, mode, answer, takeOver }: ToFly): void {
  const count = Math.floor(owed / PHYSICS_STEP_S);
  owed -= count * PHYSICS_STEP_S;
  tape.fly(flight, count, { sticks, mode, pressed: { answer, takeOver } });
}

const post = (message: FromWorker) => self.postMessage(message);

type ToCarryOut = Exclude<ToDo, ToStart | { do: 'fly-from' }>;

/** Does what the page asks of the flight. @returns whether there is something new to see */
function carryOut(what: ToCarryOut, flight: RepFlight, from: ToStart): boolean {
  switch (what.do) {
    case 'fly':
      if (what.pace < 1) unlike ??= 'slowed';
      owed += Math.min(LONGEST_S, what.seconds) * what.pace;
      flySteps(flight, what);
      return true;
    case 'hold':
      tape.dropHold(flight, what.lost);
      return true;
    case 'link':
      tape.loseLink(flight, what.lost);
      return true;
    case 'go-home':
      tape.goHome(flight);
      return true;
    case 'freeze':
      unlike ??= 'frozen';
      return true;
    case 'save': {
      const told = [
        ...(isDrillId(from.drillId) ? [`drill: ${from.drillId}`] : []),
        ...(from.side ? [`side: ${from.side}`] : []),
        'flown on the simulator',
      ];
      post({ is: 'log', csv: flightLogCsv(flight.writer.track(), told) });
      return false;
    }
  }
}

/** What the clock says of a lap; null of anything else, and of one that was not flown to its end. */
function lapOf({ writer }: RepFlight, course: Exercise, model: CraftModel, from: ToStart): number | null {
  if (from.drillId !== 'lap') return null;
  const { segments, over } = partsOf(writer.track(), { course, craft: model, solids: from.scene.solids });
  return lapSeconds(segments, over === 'finished');
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
    unlike,
    lapS: lapOf(flight, flown, model, from),
  });
}

self.onmessage = ({ data }: MessageEvent<ToDo>) => {
  const began = performance.now();
  if (data.do === 'start') begin(data);
  if (!rep || !course || !craft || !begun) return;
  if (data.do === 'fly-from') flyFrom(begun, data.atS);
  else if (data.do !== 'start' && !carryOut(data, rep, begun)) return;
  post(shown(rep, course, performance.now() - began));
  if (!rep.isOver || scored) return;
  scored = true;
  judge(rep, course, craft, begun);
};
