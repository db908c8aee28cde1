import { CHANGE_MINUTES, type Means, PACKS_IN_A_ROW, REST_MINUTES } from './block';

export interface Sequence {
  /** For each pack, the index of its pilot. */
  readonly order: readonly number[];
  /** Whether a rest is put before it. */
  readonly rests: readonly boolean[];
}

/** Whether a pilot has flown the last packs in a row as often as is good. */
const isTired = (order: readonly number[], pilot: number): boolean => order.length >= PACKS_IN_A_ROW && order.slice(-PACKS_IN_A_ROW).every((each) => each === pilot);

/**
 * Lays so many packs of each pilot one after the other: the one flying slot goes to whoever has most left, a pilot who has just
 * flown two in a row gives way, and only where nobody else is left is a rest put in.
 */
export function sequence(counts: readonly number[]): Sequence {
  const left = [...counts];
  const order: number[] = [];
  const rests: boolean[] = [];
  let sinceRest: number[] = [];
  while (left.some((count) => count > 0)) {
    const byLeft = left.map((_, pilot) => pilot).filter((pilot) => left[pilot]! > 0).sort((a, b) => left[b]! - left[a]! || a - b);
    const fresh = byLeft.find((pilot) => !isTired(sinceRest, pilot));
    const next = fresh ?? byLeft[0]!;
    rests.push(fresh === undefined);
    sinceRest = fresh === undefined ? [next] : [...sinceRest, next];
    order.push(next);
    left[next]! -= 1;
  }
  return { order, rests };
}

/** The whole time that a sequence takes, minutes. */
export const minutesOf = ({ order, rests }: Sequence, { packMinutes }: Pick<Means, 'packMinutes'>): number =>
  order.length * packMinutes + Math.max(0, order.length - 1) * CHANGE_MINUTES + rests.filter(Boolean).length * REST_MINUTES;
