import { poissonAtMost } from '../rates/exact-interval';
import { type Counted, inAll } from './event-rate';

/** A place, craft or other group beside the others, by how much was flown there. */
export interface FunnelPoint extends Counted {
  /** Events that so much flying would see at the rate of all. */
  readonly expected: number;
  /** Between these lie 95, and 99.8, of 100 such groups by chance alone. */
  readonly within95: readonly [low: number, high: number];
  readonly within998: readonly [low: number, high: number];
  /** Beyond what chance alone does in two of a thousand groups; else it cannot be told apart from the others. */
  readonly is: 'more' | 'fewer' | 'like-the-others';
}

/** The fewest events of which at most so many are seen with this chance. */
function poissonQuantile(chance: number, mean: number): number {
  let k = 0;
  while (poissonAtMost(k, mean) < chance) k += 1;
  return k;
}

const between = (mean: number, outside: number) =>
  [poissonQuantile(outside / 2, mean), poissonQuantile(1 - outside / 2, mean)] as const;

/**
 * Groups beside each other, so that small numbers are not called bad (funnel plot with exact limits; Spiegelhalter,
 * Statistics in Medicine 2005). They come back in the order given: nothing is ranked.
 */
export function funnel(groups: readonly Counted[]): readonly FunnelPoint[] {
  const all = inAll(groups);
  return groups.map(({ events, exposure }): FunnelPoint => {
    const expected = all.exposure > 0 ? (all.events * exposure) / all.exposure : 0;
    const within998 = between(expected, 0.002);
    const is = events > within998[1] ? 'more' : events < within998[0] ? 'fewer' : 'like-the-others';
    return { events, exposure, expected, within95: between(expected, 0.05), within998, is };
  });
}
