import type { Side } from '../drills/drill';
import { type Evidence, quarterOf } from '../evidence/evidence';

type Quarter = ReturnType<typeof quarterOf>;

/** How drills call the quarters into which a nose can point. */
const SIDE_OF: Readonly<Record<Quarter, Side>> = {
  away: 'tail-on',
  left: 'nose-left',
  toward: 'nose-in',
  right: 'nose-right',
};
const isQuarter = (value: unknown): value is Quarter => typeof value === 'string' && value in SIDE_OF;

/** Sides of drills on which it happened, as far as a debrief tells; null where it does not. */
export function sidesTold({ nose }: Evidence): readonly Side[] | null {
  const quarter = typeof nose === 'number' ? quarterOf(nose) : nose;
  return isQuarter(quarter) ? [SIDE_OF[quarter]] : null;
}
