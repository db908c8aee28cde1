import type { FlightLog } from '../../flight-log/flight-log';
import { type FlownLesson, landedAtS, type TrueEvent } from '../../second-model/lessons';
import type { FlightEvent, FlightEventName } from '../events/flight-event';

/** What a thing that truly happened is called where it is found, and how far its moment may be off, s. */
const CALLED: Readonly<Partial<Record<TrueEvent['is'], readonly [is: FlightEventName, withinS: number]>>> = {
  'take-off': ['take-off', 2],
  landing: ['landing', 2.5],
  oscillation: ['swung-up', 8],
  // They begin somewhere on the way there.
  far: ['far', 30],
  high: ['high', 60],
};

/** What of a lesson was found in what a recorder wrote of it, and what was found besides. */
export interface FoundInLesson {
  readonly truly: readonly { readonly is: TrueEvent['is']; readonly found: boolean }[];
  readonly wrong: readonly FlightEvent[];
}

/** Each thing that truly happened with the one finding that is it. */
export function foundIn(
  { events }: FlownLesson,
  log: FlightLog,
  seen: readonly FlightEvent[],
): FoundInLesson {
  const used = new Set<FlightEvent>();
  const truly = [...events, { is: 'landing' as const, atS: landedAtS(log) }].map(({ is, atS }) => {
    const [called, withinS] = CALLED[is] ?? [null, 0];
    const hit = seen.find(
      (each) => each.is === called && !used.has(each) && Math.abs(each.atS - atS) <= withinS,
    );
    if (hit) used.add(hit);
    return { is, found: hit !== undefined };
  });
  return { truly, wrong: seen.filter((each) => !used.has(each)) };
}
