import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import { craftModel } from '@skelby/core/simulator/craft-model';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { exerciseOf, MEASURED_DRILLS } from '@skelby/core/assessment/exercises';
import { scoreLog } from '@skelby/core/assessment/score';
import { confusion } from '@skelby/core/synthetic-pilot/crashes';
import { flyDrill } from '@skelby/core/synthetic-pilot/fly-drill';
import { HABIT_SHOWS, HABITS, type Habit } from '@skelby/core/synthetic-pilot/habits';
import { LOG_COLUMNS, FlightLogWriter } from '@skelby/core/flight-log/flight-log';

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const WIND = { calm: 1, light: 3.5, breezy: 6 } as const;

function met(id: DrillId, habits: readonly Habit[], seed: number): boolean {
  const { sides, bands = ['calm', 'light'] } = drillOf(id);
  const mode =
    habits[0] && HABIT_SHOWS[habits[0]].drills.includes(id) ? HABIT_SHOWS[habits[0]].mode : undefined;
  return flyDrill(CRAFT, {
    drillId: id,
    side: sides[seed % Math.max(1, sides.length)] ?? null,
    windMps: WIND[bands[seed % bands.length]!],
    habits: new Set(habits),
    seed: 7_000 + 13 * seed,
    ...(mode ? { pilotMode: mode } : {}),
  }).score.met;
}

export interface PilotFigures {
  /** Of steady hands, by drill: met of flown, the worst first. */
  readonly steady: readonly { readonly id: string; readonly met: number; readonly of: number }[];
  readonly habits: readonly {
    readonly habit: Habit;
    readonly missedOwn: number;
    readonly ofOwn: number;
    readonly metOthers: number;
    readonly ofOthers: number;
  }[];
}

/** Flies every measured drill headless: with steady hands, and with every habit. */
export function measurePilots(reps: number, repsOfOthers: number): PilotFigures {
  const count = (ids: readonly DrillId[], habits: readonly Habit[], each: number) =>
    ids.flatMap((id) => Array.from({ length: each }, (_, i) => met(id, habits, i)));
  const steady = MEASURED_DRILLS.map((id) => {
    const all = count([id], [], reps);
    return { id, met: all.filter(Boolean).length, of: all.length };
  });
  const habits = HABITS.map((habit) => {
    const { drills, touches } = HABIT_SHOWS[habit];
    const [own, others] = [
      count(drills, [habit], reps),
      touches === 'all'
        ? []
        : count(
            MEASURED_DRILLS.filter((id) => !drills.includes(id) && !touches.includes(id)),
            [habit],
            repsOfOthers,
          ),
    ];
    return {
      habit,
      missedOwn: own.filter((each) => !each).length,
      ofOwn: own.length,
      metOthers: others.filter(Boolean).length,
      ofOthers: others.length,
    };
  });
  return { steady: [...steady].sort((a, b) => a.met / a.of - b.met / b.of), habits };
}

/** Not the flights that the readers were written on. */
const UNSEEN_SEED = 9_000;
/** Planted causes against those named first. */
export const measureConfusion = (perScene: number) => confusion(USUAL_CRAFT, perScene, UNSEEN_SEED);

const LOG_MINUTES = 30;

/**
 * Scores a parsed log of thirty minutes at 100 lines a second, flown rep after rep. @returns ms, and the reps
 * found
 */
export function measureLogScoring(): { readonly ms: number; readonly lines: number; readonly reps: number } {
  const writer = new FlightLogWriter();
  const rep = flyDrill(CRAFT, { drillId: 'fore-aft-line', side: null, windMps: 3, seed: 5 }).track;
  for (
    let begin = 0;
    writer.length < LOG_MINUTES * 60 * 100;
    begin += rep.columns.t[rep.length - 1]! + 0.01
  ) {
    for (let i = 0; i < rep.length && writer.length < LOG_MINUTES * 60 * 100; i += 1)
      writer.add({
        ...Object.fromEntries(LOG_COLUMNS.map((column) => [column, rep.columns[column][i]!])),
        t: rep.columns.t[i]! + begin,
      } as never);
  }
  const track = writer.track();
  const started = performance.now();
  const scores = scoreLog(track, exerciseOf('fore-aft-line')!, CRAFT, []);
  return { ms: performance.now() - started, lines: track.length, reps: scores.length };
}
