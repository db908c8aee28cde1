import { CHANGE_MINUTES, type Means, PACKS_IN_A_ROW, REST_MINUTES } from './block';

export interface Sequence {
  /** For each pack, the index of its pilot. */
  readonly order: readonly number[];
  /** Whether a rest is put before it. */
  readonly rests: readonly boolean[];
}

/** Before which packs their pilot should rest: after two in a row. */
export function restsIn<T>(pilots: readonly T[]): readonly boolean[] {
  let inARow = 0;
  return pilots.map((pilot, i) => {
    inARow = i > 0 && pilots[i - 1] === pilot ? inARow + 1 : 1;
    if (inARow <= PACKS_IN_A_ROW) return false;
    inARow = 1;
    return true;
  });
}

/**
 * Lays so many packs of each pilot one after the other: the one flying slot goes to whoever has most left, a
 * pilot who has just
 * flown two in a row gives way, and only where nobody else is left is a rest put in.
 */
export function sequence(counts: readonly number[]): Sequence {
  const left = [...counts];
  const order: number[] = [];
  while (left.some((count) => count > 0)) {
    const byLeft = left
      .map((_, pilot) => pilot)
      .filter((pilot) => left[pilot]! > 0)
      .sort((a, b) => left[b]! - left[a]! || a - b);
    const next = byLeft.find((pilot) => restsIn([...order, pilot]).at(-1) === false) ?? byLeft[0]!;
    order.push(next);
    left[next]! -= 1;
  }
  return { order, rests: restsIn(order) };
}

/** The whole time that a sequence takes, minutes. */
export const minutesOf = ({ order, rests }: Sequence, { packMinutes }: Pick<Means, 'packMinutes'>): number =>
  order.length * packMinutes +
  Math.max(0, order.length - 1) * CHANGE_MINUTES +
  rests.filter(Boolean).length * REST_MINUTES;
