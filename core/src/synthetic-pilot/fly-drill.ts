import type { DrillId } from '../drills/drills';
import { withExpo } from '../simulator/expo';
import type { SpeedSetting } from '../vocabulary/craft-facts';
import type { FlightMode } from '../vocabulary/flying';
import type { Side } from '../drills/drill';
import type { ModeNow, StickPosition } from '../simulator/control/control';
import { CENTRED } from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import { type Ended, PHYSICS_STEP_S } from '../simulator/simulated-flight';
import { practiceOf } from '../simulator/practice';
import { Random } from '../simulator/random';
import type { Solid } from '../simulator/world';
import { modeFlown } from '../assessment/exercise';
import { exerciseOf } from '../assessment/exercises';
import { RepFlight } from '../assessment/rep';
import { type Score, scoreFlightLog } from '../assessment/score';
import type { FlightLog } from '../flight-log/flight-log';
import type { Habit } from './habits';
import { DECIDES_S, type Skill, SKILLED, SyntheticPilot } from './pilot';

export interface DrillFlown {
  readonly score: Score;
  readonly track: FlightLog;
  readonly ended: Ended;
  /** Everything that stood there. */
  readonly solids: readonly Solid[];
}

const STEPS_PER_DECISION = Math.round(DECIDES_S / PHYSICS_STEP_S);
const LONGEST_S = 240;

/**
 * A synthetic pilot flies one rep of a drill, headless.
 * @param windMps mean wind 6 m up, with gusts
 * @throws RangeError for a drill that is not flown on the simulator
 */
export function flyDrill(
  craft: CraftModel,
  drillId: DrillId,
  side: Side | null,
  windMps: number,
  habits: ReadonlySet<Habit>,
  seed: number,
  {
    skill = SKILLED,
    pilotMode = 'position-hold',
    solids: more = [],
    setting: chosen,
  }: {
    readonly skill?: Skill;
    readonly pilotMode?: FlightMode;
    readonly solids?: readonly Solid[];
    readonly setting?: SpeedSetting;
  } = {},
): DrillFlown {
  const [setUp, course] = [practiceOf(drillId, side, pilotMode), exerciseOf(drillId, side)];
  if (!setUp || !course) throw new RangeError(`"${drillId}" is not flown on the simulator.`);
  const solids = [...setUp.solids, ...more];
  const random = new Random(seed ^ 0x77);
  const rep = new RepFlight({
    craft,
    course,
    scene: { solids, wind: { speedMps: windMps, fromDeg: setUp.windFromDeg, gusts: 1, jets: setUp.jets } },
    start: setUp.start,
    seed,
  });
  const pilot = new SyntheticPilot(craft, course, skill, habits, random);
  const lag = Math.round(skill.reactionS * 100);
  let sticks: StickPosition = CENTRED;
  let relative = false;
  const mode = modeFlown(course, setUp.mode);
  const setting = chosen ?? course.setting ?? 'normal';
  for (let step = 0; !rep.isOver && rep.flight.timeS < LONGEST_S; step += 1) {
    if (step % STEPS_PER_DECISION === 0 && rep.writer.length > 0) {
      const s = rep.writer.line(Math.max(0, rep.writer.length - 1 - lag));
      const { stage } = rep.referee;
      relative = stage.relative ?? false;
      sticks = pilot.decide({
        s,
        referee: rep.referee,
        mode,
        setting,
        holds: !rep.holdIsLost || rep.flight.timeS - rep.referee.beganS < skill.noticesS,
        relative,
      });
      if (stage.expo) sticks = withExpo(sticks, stage.expo);
    }
    const turned = relative || (habits.has('switches-relative-turned') && rep.referee.at > 0);
    const now: ModeNow = { mode, setting, pilotHeadingDeg: turned ? 0 : null, hold: true };
    const answers =
      rep.referee.stage.hands === 'answer' &&
      rep.flight.timeS - rep.referee.beganS > (habits.has('talks-first') ? 0.1 : 2.5);
    rep.step(sticks, now, answers ? { answer: true } : undefined);
  }
  const track = rep.writer.track();
  return { track, ended: rep.flight.ended, solids, score: scoreFlightLog(track, course, craft, solids) };
}
