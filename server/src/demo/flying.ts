import { isDeepStrictEqual } from 'node:util';
import { CAUSES, type CauseId } from '@skelby/core/causes/causes';
import type { MissReason } from '@skelby/core/clearance/facts';
import type { Side } from '@skelby/core/drills/drill';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import { allBefore } from '@skelby/core/drills/prerequisites';
import { craftModel } from '@skelby/core/simulator/craft-model';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { exerciseOf } from '@skelby/core/assessment/exercises';
import { missReasonOf } from '@skelby/core/assessment/miss-reason';
import { flyDrill } from '@skelby/core/synthetic-pilot/fly-drill';
import { HABIT_SHOWS, type Habit } from '@skelby/core/synthetic-pilot/habits';
import { habitOf } from '@skelby/core/synthetic-pilot/learner';
import { DEMO_STORIES } from './school';

/** Why a rep was missed, null for met; and the value written down, null for none. */
export type FlownRep = readonly [reason: MissReason | null, measure: number | null];
export type FlownSeries = Readonly<Record<string, readonly FlownRep[]>>;
export interface FlownReps {
  readonly steady: FlownSeries;
  /** Only where the habit shows: elsewhere it flies as steady hands do. */
  readonly habits: Readonly<Partial<Record<Habit, FlownSeries>>>;
}

/** Reps flown of each drill, side and habit. */
export const FLOWN_EACH = 8;
/** Farther than this nobody lays a tape, m. Ours. */
const TAPE_M = 30;
const WINDS_MPS = [1, 3.5] as const;
const MODEL = craftModel(craftFacts(USUAL_CRAFT));

/** Of causes that no hands show, the habit that comes nearest to what the demo tells. */
const NEAREST: Readonly<Record<string, Habit>> = {
  'mode-confusion': 'brakes-late',
  'beyond-sight': 'guesses-the-nose',
  'link-loss': 'goes-too-far',
};
export const demoHabitOf = (causeId: CauseId): Habit | null => habitOf(causeId) ?? NEAREST[causeId] ?? null;

export const flownKey = (drillId: DrillId, side: Side | null): string =>
  side === null ? drillId : `${drillId} ${side}`;

/** Flies one rep by synthetic hands. */
export function flyDemoRep(drillId: DrillId, side: Side | null, habit: Habit | null, nth: number): FlownRep {
  const mode = habit && HABIT_SHOWS[habit].drills.includes(drillId) ? HABIT_SHOWS[habit].mode : undefined;
  const { score } = flyDrill(MODEL, {
    drillId,
    side,
    windMps: WINDS_MPS[nth % WINDS_MPS.length]!,
    habits: new Set(habit ? [habit] : []),
    seed: 400 + 31 * nth,
    ...(mode ? { pilotMode: mode } : {}),
  });
  const measure = score.recorded;
  return [missReasonOf(score), measure === null || measure > TAPE_M ? null : Math.round(measure * 10) / 10];
}

/** Everything that the demo's stories can call for: drills of their causes and what leads to them. */
export function flyDemoReps(): FlownReps {
  const causes = [...new Set(DEMO_STORIES.map((story) => story.cause))];
  const drillsFor = (causeId: CauseId) => {
    const { drills } = CAUSES.find((cause) => cause.id === causeId)!;
    return [...new Set(drills.flatMap((id) => [id, ...allBefore(id)]))].filter(
      (id) => exerciseOf(id) !== null,
    );
  };
  const series = (drillIds: readonly DrillId[], habit: Habit | null): FlownSeries =>
    Object.fromEntries(
      drillIds.flatMap((id) => {
        const { sides } = drillOf(id);
        return (sides.length > 0 ? sides : [null]).map(
          (side) =>
            [
              flownKey(id, side),
              Array.from({ length: FLOWN_EACH }, (_, nth) => flyDemoRep(id, side, habit, nth)),
            ] as const,
        );
      }),
    );
  const steady = series([...new Set(causes.flatMap(drillsFor))], null);
  const shows = (flown: FlownSeries): FlownSeries =>
    Object.fromEntries(Object.entries(flown).filter(([key, reps]) => !isDeepStrictEqual(reps, steady[key])));
  const habits: Partial<Record<Habit, FlownSeries>> = {};
  for (const causeId of causes) {
    const habit = demoHabitOf(causeId);
    if (habit) habits[habit] = { ...habits[habit], ...shows(series(drillsFor(causeId), habit)) };
  }
  return { steady, habits };
}
