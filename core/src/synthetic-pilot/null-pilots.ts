import { exerciseOf } from '../assessment/exercises';
import { RepFlight } from '../assessment/rep';
import { scoreFlightLog } from '../assessment/score';
import { STEP_S } from '../choreography/fly';
import { movementOf } from '../choreography/scenes';
import type { AnswerNumber } from '../flight-log/flight-log';
import type { Side } from '../drills/drill';
import { drillOf, type DrillId } from '../drills/drills';
import { CENTRED, type PilotedMode, type StickPosition } from '../simulator/control/control';
import type { CraftModel } from '../simulator/craft-model';
import { practiceOf } from '../simulator/practice';
import { Random } from '../simulator/random';
import { USUAL_SENSORS } from '../simulator/sensors';
import { PHYSICS_STEP_S } from '../simulator/simulated-flight';
import type { Says } from './fly-drill';

/**
 * Pilots who do nothing about what happens: hands off, sticks held anywhere, sticks moved at random, or the sticks
 * of another drill. Whatever one of them meets measures the craft, not a pilot.
 */

/** Sticks at a time of the flight, s. */
export type Sticks = (t: number) => StickPosition;

export interface NullPilot {
  readonly name: string;
  readonly sticks: Sticks;
  /** Says so whatever is asked; absent: the first answer. */
  readonly says?: AnswerNumber;
}

/** Held sticks, in a fixed set that fills the space. */
const HELD = 24;
const RANDOM = 5;
/** A random stick is held so long, s. */
const RANDOM_FOR_S = 0.4;
const BASES = [2, 3, 5, 7] as const;

/** The i-th of a sequence that fills 0 to 1 evenly (Halton, Numerische Mathematik 1960). */
function halton(index: number, base: number): number {
  let [share, value] = [1, 0];
  for (let i = index; i > 0; i = Math.floor(i / base)) {
    share /= base;
    value += share * (i % base);
  }
  return value;
}

const held = (index: number): StickPosition => {
  const [throttle, yaw, pitch, roll] = BASES.map((base) => 2 * halton(index, base) - 1) as [
    number,
    number,
    number,
    number,
  ];
  return { throttle, yaw, pitch, roll };
};

function moving(seed: number): Sticks {
  const random = new Random(seed);
  const all: StickPosition[] = [];
  const one = () => 2 * random.uniform() - 1;
  return (t) => {
    const index = Math.floor(t / RANDOM_FOR_S);
    while (all.length <= index) all.push({ throttle: one(), yaw: one(), pitch: one(), roll: one() });
    return all[index]!;
  };
}

/** Drills whose sticks are tried on the others: out and back, round, down, up and over, and a turn on the spot. */
const BORROWED = [
  'fore-aft-line',
  'circle-both-ways',
  'slant-descent',
  'climb-over',
  'clock-hover',
  'brake-to-mark',
] as const satisfies readonly DrillId[];
const BORROWED_EACH = 5;

/** The sticks of a drill as they are drawn: moved as if it were flown, whatever happens. */
function sticksOf(drillId: DrillId): Sticks {
  const { moments } = movementOf(drillId, drillOf(drillId).sides[0] ?? null);
  return (t) => moments[Math.min(moments.length - 1, Math.round(t / STEP_S))]!.sticks;
}

/** Whoever flies another drill than the one that is asked for. */
export const othersFor = (drillId: DrillId): readonly NullPilot[] =>
  BORROWED.filter((id) => id !== drillId)
    .slice(0, BORROWED_EACH)
    .map((id) => ({ name: `sticks of ${id}`, sticks: sticksOf(id) }));

/** @param others stick movements of other drills, as somebody who can fly them moves */
export const nullPilots = (others: readonly NullPilot[] = []): readonly NullPilot[] => [
  { name: 'hands off', sticks: () => CENTRED },
  ...Array.from({ length: HELD }, (_, i) => {
    const position = held(i + 1);
    return { name: `held ${i + 1}`, sticks: () => position, says: ((i % 5) + 1) as AnswerNumber };
  }),
  ...Array.from({ length: RANDOM }, (_, i) => ({ name: `random ${i + 1}`, sticks: moving(91 + i) })),
  ...others,
];

/** What is said by somebody who flies well and does not look. @param seed of what is said by lot */
export const LAZY_ANSWERS: readonly { readonly name: string; readonly says: (seed: number) => Says }[] = [
  { name: 'always the first', says: () => () => 1 },
  { name: 'always the last', says: () => (_, choices) => choices },
  { name: 'always the middle', says: () => (_, choices) => Math.ceil(choices / 2) },
  {
    name: 'any by lot',
    says: (seed) => {
      const random = new Random(seed);
      return (_, choices) => 1 + Math.floor(choices * random.uniform());
    },
  },
];

export interface NullFlight {
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly windMps: number;
  readonly mode: PilotedMode;
  readonly seed: number;
}

const LONGEST_S = 130;
/** So far off the way nobody is still flying the drill, m. */
const GONE_M = 25;

/** Whether a null pilot meets the drill: flown until it is over, or can no longer be met. */
export function meets(craft: CraftModel, { sticks, says = 1 }: NullPilot, flight: NullFlight): boolean {
  const { drillId, side, windMps, mode, seed } = flight;
  const [setUp, course] = [practiceOf(drillId, side, 'position-hold'), exerciseOf(drillId, side)];
  if (!setUp || !course) throw new RangeError(`"${drillId}" is not flown on the simulator.`);
  const rep = new RepFlight({
    craft,
    course,
    scene: {
      solids: setUp.solids,
      wind: { speedMps: windMps, fromDeg: setUp.windFromDeg, gusts: 1, jets: setUp.jets },
    },
    start: setUp.start,
    seed,
    ...(course.needsSensors ? { sensors: USUAL_SENSORS } : {}),
  });
  const now = { mode, setting: course.setting ?? 'normal', pilotHeadingDeg: null, hold: true } as const;
  for (let step = 0; !rep.isOver && rep.flight.timeS < LONGEST_S; step += 1) {
    rep.step(sticks(step * PHYSICS_STEP_S), now, { answer: step % 2 === 0 && says });
    if (rep.referee.offset.crossTrackM > GONE_M) return false;
  }
  const { score } = { score: scoreFlightLog(rep.writer.track(), course, craft, setUp.solids) };
  return score.met;
}
