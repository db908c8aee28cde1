import type { Exercise } from '@skelby/core/assessment/exercise';
import type { Replay } from '@skelby/core/assessment/replay';
import type { Score } from '@skelby/core/assessment/score';
import { placesAlong, type PathPoint } from '@skelby/core/geometry/path';
import { keep, kept } from '../../shared/storage/storage';

/** What is drawn into the field to fly after: nothing, the way as it should be, or one's own best. */
export type Ghost = 'none' | 'way' | 'best';

/** The best flight of one kind on this device: the smaller its value the better. */
interface Best {
  readonly value: number;
  readonly path: readonly PathPoint[];
  /** ms since 1970. */
  readonly keptAt: number;
}
type Bests = Readonly<Record<string, Best>>;

const NAME = 'practice.bests';
/** So many kinds of flight are kept, those flown last: each takes a few kilobytes. */
const MOST = 16;
/** Of the twenty places a second that a replay has. */
const EVERY = 4;
const STEP_M = 0.5;

const centimetres = (metres: number): number => Math.round(metres * 100) / 100;

const pathOf = ({ x, y, z }: Replay): readonly PathPoint[] =>
  Array.from({ length: Math.ceil(x.length / EVERY) }, (_, nth): PathPoint => {
    const i = nth * EVERY;
    return [centimetres(x[i]!), centimetres(y[i]!), centimetres(z[i]!)];
  });

/** As they were read last: a path that is drawn stays the same one until a better flight is kept. */
let read: Bests | null = null;

export function bestOf(kind: string): Best | null {
  read ??= kept<Bests>(NAME) ?? {};
  return read[kind] ?? null;
}

/** Keeps a flight where it is the best of its kind. @returns the value of the best before it; null: it is the first */
export function keepBest(kind: string, value: number, replay: Replay): number | null {
  // Another tab may have kept some meanwhile.
  const there = kept<Bests>(NAME) ?? {};
  const before = there[kind]?.value ?? null;
  read = there;
  if (before !== null && value >= before) return before;
  const newest = Object.entries({ ...there, [kind]: { value, path: pathOf(replay), keptAt: Date.now() } })
    .sort(([, one], [, other]) => other.keptAt - one.keptAt)
    .slice(0, MOST);
  read = Object.fromEntries(newest);
  keep(NAME, read);
  return before;
}

/** How near a rep that was met came to missing: the largest share of any of its limits. Null: it was missed. */
export const closenessOf = ({ met, values }: Pick<Score, 'met' | 'values'>): number | null =>
  met
    ? Math.max(0, ...values.map(({ value, limit, isLeast }) => (isLeast ? limit / value : value / limit)))
    : null;

/** The way of a course, from part to part. */
export const wayOf = ({ stages }: Pick<Exercise, 'stages'>): readonly PathPoint[] =>
  stages.flatMap(({ path }) => placesAlong(path, STEP_M));
