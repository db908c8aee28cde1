import type { DrillId } from '../drills/drills';
import { withExpo } from '../simulator/expo';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import type { FlightMode } from '../vocabulary/flying';
import type { Side } from '../drills/drill';
import { CENTRED, type StickPosition } from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import { type Ended, PHYSICS_STEP_S } from '../simulator/simulated-flight';
import { practiceOf, type PracticeSetUp } from '../simulator/practice';
import { Random } from '../simulator/random';
import { type FittedSensors, USUAL_SENSORS } from '../simulator/sensors';
import type { Solid } from '../simulator/world';
import { type Exercise, modeFlown } from '../assessment/exercise';
import { choicesOf, rightAnswers } from '../assessment/asked';
import { exerciseOf } from '../assessment/exercises';
import { RepFlight } from '../assessment/rep';
import { type Score, scoreFlightLog } from '../assessment/score';
import { type AnswerNumber, type FlightLog, LOG_HZ, settingAt, turned } from '../flight-log/flight-log';
import { bearing } from '../geometry/path';
import type { Habit } from './habits';
import { DECIDES_S, type Perception, type Skill, SKILLED } from './hands';
import { SyntheticPilot } from './pilot';

export interface DrillFlown {
  readonly score: Score;
  readonly track: FlightLog;
  readonly ended: Ended;
  /** Everything that stood there. */
  readonly solids: readonly Solid[];
}

const STEPS_PER_DECISION = Math.round(DECIDES_S / PHYSICS_STEP_S);
const LONGEST_S = 240;

/** One rep that is asked of a synthetic pilot. */
export interface RepAsked {
  readonly drillId: DrillId;
  readonly side: Side | null;
  /** Mean wind 6 m up, m/s, with gusts. */
  readonly windMps: number;
  readonly seed: number;
  readonly habits?: ReadonlySet<Habit>;
  readonly skill?: Skill;
  /** The mode that the pilot usually flies in. */
  readonly pilotMode?: FlightMode;
  readonly setting?: SpeedSetting;
  /** What it carries to see obstacles with; absent: nothing, but where a drill is about it. */
  readonly sensors?: FittedSensors;
  /** What the pilot says when asked; absent: what is right. */
  readonly says?: Says;
  /** What stands there beside the marks of the drill. */
  readonly solids?: readonly Solid[];
}

/** An answer by its place in the list. @param right the answers that are right; @param choices so many there are */
export type Says = (right: readonly number[], choices: number) => number;

const USUAL = { habits: new Set<Habit>(), skill: SKILLED, pilotMode: 'position-hold' } as const;

/**
 * A synthetic pilot flies one rep of a drill, headless.
 * @throws RangeError for a drill that is not flown on the simulator
 */
export function flyDrill(craft: CraftModel, asked: RepAsked): DrillFlown {
  const { drillId, side, seed, habits, skill, pilotMode } = { ...USUAL, ...asked };
  const setUp = practiceOf(drillId, side, pilotMode);
  const course = exerciseOf(drillId, side);
  if (!setUp || !course) throw new RangeError(`"${drillId}" is not flown on the simulator.`);
  const { rep, sensors, solids } = begun(craft, course, setUp, asked);
  const pilot = new SyntheticPilot({ craft, course, skill, habits }, new Random(seed ^ 0x77));
  const mode = modeFlown(course, setUp.mode);
  const setting = asked.setting ?? course.setting ?? 'normal';
  let sticks: StickPosition = CENTRED;
  let relative = false;
  for (let step = 0; !rep.isOver && rep.flight.timeS < LONGEST_S; step += 1) {
    if (step % STEPS_PER_DECISION === 0 && rep.writer.length > 0) {
      relative = rep.referee.stage.relative ?? false;
      sticks = decided(rep, pilot, skill, { mode, setting, relative });
    }
    const turned = relative || (habits.has('switches-relative-turned') && rep.referee.at > 0);
    rep.step(
      sticks,
      { mode, setting, pilotHeadingDeg: turned ? 0 : null, hold: true },
      answers(rep, habits) ? { answer: sayIn(rep, course, sensors, asked.says) } : undefined,
    );
  }
  const track = rep.writer.track();
  return { track, ended: rep.flight.ended, solids, score: scoreFlightLog(track, course, craft, solids) };
}

/** A rep that is set up as it was asked for. */
function begun(craft: CraftModel, course: Exercise, setUp: PracticeSetUp, asked: RepAsked) {
  const solids = [...setUp.solids, ...(asked.solids ?? [])];
  const { start, windFromDeg: fromDeg, jets } = setUp;
  const scene = { solids, wind: { speedMps: asked.windMps, fromDeg, gusts: 1, jets } };
  const sensors = sensorsFor(course, asked.sensors);
  const { seed } = asked;
  const rep = new RepFlight({ craft, course, scene, start, seed, ...(sensors ? { sensors } : {}) });
  return { rep, sensors, solids };
}

/** The sticks for what the pilot sees, as late as it sees it. */
function decided(
  { referee, writer, flight, holdIsLost }: RepFlight,
  pilot: SyntheticPilot,
  skill: Skill,
  now: Pick<Perception, 'mode' | 'setting' | 'relative'>,
): StickPosition {
  const lag = Math.round(skill.reactionS * LOG_HZ);
  const { stage } = referee;
  const sticks = pilot.decide({
    ...now,
    setting: settingAt(writer.line(writer.length - 1)),
    s: writer.line(Math.max(0, writer.length - 1 - lag)),
    referee,
    holds: !holdIsLost || flight.timeS - referee.beganS < skill.noticesS,
  });
  return stage.expo ? withExpo(sticks, stage.expo) : sticks;
}

/** What a craft carries in a drill. */
export const sensorsFor = (course: Exercise, fitted?: FittedSensors): FittedSensors | undefined =>
  fitted ?? (course.needsSensors ? USUAL_SENSORS : undefined);

const AHEAD_DEG = 45;

/** What sensors make of the next way: which side goes first, and in what setting. */
function foretells({ writer, referee }: RepFlight, course: Exercise, sensors: FittedSensors): 1 | 2 {
  const { path, nose } = course.stages[referee.at + 1]!;
  if (path.is !== 'segment' || typeof nose !== 'number') return 2;
  const [[fx, fy], [tx, ty]] = [path.from, path.to];
  const off = Math.abs(turned(nose, bearing(tx - fx, ty - fy)));
  const side = off < AHEAD_DEG ? 'ahead' : off > 180 - AHEAD_DEG ? 'behind' : 'side';
  const isOn = sensors.inFast || settingAt(writer.line(writer.length - 1)) !== 'fast';
  // The twig stands beside the screen: too thin to be seen.
  return isOn && sensors.sides.includes(side) && fx === 0 ? 1 : 2;
}

/** What is said to a question with answers to choose from; just that something is said where there are none. */
function sayIn(
  rep: RepFlight,
  course: Exercise,
  sensors: FittedSensors | undefined,
  says: Says = ([first]) => first!,
): AnswerNumber | true {
  const { stage } = rep.referee;
  if (!stage.asks) return true;
  const { things = [] } = course;
  const s = rep.writer.line(rep.writer.length - 1);
  const right = rightAnswers(stage.asks, s, { fromPilotM: Math.hypot(s.x, s.y), things }) ?? [
    foretells(rep, course, sensors ?? USUAL_SENSORS),
  ];
  return says(right, choicesOf(stage.asks, things)) as AnswerNumber;
}

/** Whether the pilot says what a part asks to be said; whoever talks first does not stop before. */
const answers = ({ referee, flight }: RepFlight, habits: ReadonlySet<Habit>): boolean =>
  referee.stage.hands === 'answer' && flight.timeS - referee.beganS > (habits.has('talks-first') ? 0.1 : 2.5);
