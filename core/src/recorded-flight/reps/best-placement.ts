import type { Exercise } from '../../assessment/exercise';
import type { FlightLog } from '../../flight-log/flight-log';
import { placesAlong } from '../../geometry/path';
import { type FieldPlace, inField, type Placement } from './placement';

/** Places looked at of a flight, and apart on the way of a drill, m. */
const [POINTS, STEP_M] = [120, 0.5];
/** Ways to look that are tried, degrees apart; and how many of the best are gone on with. */
const [TURN_DEG, KEPT] = [15, 6];
/** Steps of the search: across, m, and round, degrees; until so small. */
const FIRST_STEP = [2, 2, 10] as const;
const LAST_STEP_M = 0.05;

const middleOf = (places: readonly FieldPlace[]): FieldPlace => ({
  x: places.reduce((sum, each) => sum + each.x, 0) / places.length,
  y: places.reduce((sum, each) => sum + each.y, 0) / places.length,
});

const nearestTo = (at: FieldPlace, all: readonly FieldPlace[]): number => {
  let least = Infinity;
  for (const each of all) least = Math.min(least, (each.x - at.x) ** 2 + (each.y - at.y) ** 2);
  return least;
};

/** Mean square of how far each lies from the other, both ways, m². */
function misfit(flown: readonly FieldPlace[], way: readonly FieldPlace[], placement: Placement): number {
  const there = way.map((at) => inField(placement, at));
  const mean = (from: readonly FieldPlace[], to: readonly FieldPlace[]) =>
    from.reduce((sum, at) => sum + nearestTo(at, to), 0) / from.length;
  return mean(flown, there) + mean(there, flown);
}

/** Goes downhill by ever smaller steps, one figure at a time (compass search, Kolda, Lewis and Torczon 2003). */
function downhill(of: (placement: Placement) => number, start: Placement): Placement {
  let [best, least, share] = [start, of(start), 1];
  while (FIRST_STEP[0] * share > LAST_STEP_M) {
    const [step, , turn] = FIRST_STEP.map((each) => each * share) as [number, number, number];
    const tried = [
      { ...best, x: best.x + step },
      { ...best, x: best.x - step },
      { ...best, y: best.y + step },
      { ...best, y: best.y - step },
      { ...best, towardDeg: best.towardDeg + turn },
      { ...best, towardDeg: best.towardDeg - turn },
    ].map((placement) => ({ placement, misfit: of(placement) }));
    const next = tried.reduce((a, b) => (b.misfit < a.misfit ? b : a));
    if (next.misfit < least) [best, least] = [next.placement, next.misfit];
    else share /= 2;
  }
  return best;
}

/**
 * Where a drill may have been set up, from what was flown alone: the placements its way fits best, the best first.
 * They flatter: whoever hovered beside the mark is given the mark that was hovered over.
 * @param log the part of a flight that it was flown in
 */
export function bestPlacements(log: FlightLog, { stages }: Pick<Exercise, 'stages'>): readonly Placement[] {
  const every = Math.max(1, Math.ceil(log.length / POINTS));
  const flown: FieldPlace[] = [];
  for (let i = 0; i < log.length; i += every) flown.push({ x: log.columns.x[i]!, y: log.columns.y[i]! });
  if (flown.length === 0) return [];
  const way = stages.flatMap(({ path }) => placesAlong(path, STEP_M).map(([x, y]) => ({ x, y })));
  const [here, there] = [middleOf(flown), middleOf(way)];
  const of = (placement: Placement) => misfit(flown, way, placement);
  const begun = Array.from({ length: 360 / TURN_DEG }, (_, i) => {
    const turned = inField({ x: 0, y: 0, towardDeg: i * TURN_DEG }, there);
    return { x: here.x - turned.x, y: here.y - turned.y, towardDeg: i * TURN_DEG };
  });
  return begun
    .map((placement) => ({ placement, misfit: of(placement) }))
    .sort((a, b) => a.misfit - b.misfit)
    .slice(0, KEPT)
    .map(({ placement }) => downhill(of, placement))
    .sort((a, b) => of(a) - of(b));
}
