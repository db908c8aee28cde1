import type { DrillId } from '../drills/drills';
import { withExpo } from '../simulator/expo';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import type { FlightMode } from '../vocabulary/flying';
import type { Side } from '../drills/drill';
import { CENTRED, type StickPosition } from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import { type Ended, PHYSICS_STEP_S } from '../simulator/simulated-flight';
import { practiceOf } from '../simulator/practice';
import { Random } from '../simulator/random';
import type { Solid } from '../simulator/world';
import { modeFlown } from '../assessment/exercise';
import { exerciseOf } from '../assessment/exercises';
import { RepFlight } from '../assessment/rep';
import { type Score, scoreFlightLog } from '../assessment/score';
import { type FlightLog, LOG_HZ } from '../flight-log/flight-log';
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
  /** What stands there beside the marks of the drill. */
  readonly solids?: readonly Solid[];
}

const USUAL = { habits: new Set<Habit>(), skill: SKILLED, pilotMode: 'position-hold' } as const;

/**
 * A synthetic pilot flies one rep of a drill, headless.
 * @throws RangeError for a drill that is not flown on the simulator
 */
export function flyDrill(craft: CraftModel, asked: RepAsked): DrillFlown {
  const { drillId, side, windMps, seed, habits, skill, pilotMode } = { ...USUAL, ...asked };
  const setUp = practiceOf(drillId, side, pilotMode);
  const course = exerciseOf(drillId, side);
  if (!setUp || !course) throw new RangeError(`"${drillId}" is not flown on the simulator.`);
  const solids = [...setUp.solids, ...(asked.solids ?? [])];
  const { start, windFromDeg: fromDeg, jets } = setUp;
  const scene = { solids, wind: { speedMps: windMps, fromDeg, gusts: 1, jets } };
  const rep = new RepFlight({ craft, course, scene, start, seed });
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
      answers(rep, habits) ? { answer: true } : undefined,
    );
  }
  const track = rep.writer.track();
  return { track, ended: rep.flight.ended, solids, score: scoreFlightLog(track, course, craft, solids) };
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
    s: writer.line(Math.max(0, writer.length - 1 - lag)),
    referee,
    holds: !holdIsLost || flight.timeS - referee.beganS < skill.noticesS,
  });
  return stage.expo ? withExpo(sticks, stage.expo) : sticks;
}

/** Whether the pilot says what a part asks to be said; whoever talks first does not stop before. */
const answers = ({ referee, flight }: RepFlight, habits: ReadonlySet<Habit>): boolean =>
  referee.stage.hands === 'answer' && flight.timeS - referee.beganS > (habits.has('talks-first') ? 0.1 : 2.5);
