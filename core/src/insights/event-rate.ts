import { garwood, type Interval } from '../rates/exact-interval';

/** So many events in so much flying. */
export interface Counted {
  readonly events: number;
  /** Flights, or hours. */
  readonly exposure: number;
}

export interface EventRate extends Counted {
  /** Events an exposure of one; null: nothing was flown. */
  readonly rate: number | null;
  /** Of the rate, two-sided 95 %, exact (Garwood, Biometrika 1936); null: nothing was flown. */
  readonly interval: Interval | null;
}

export function eventRate({ events, exposure }: Counted): EventRate {
  if (!(exposure > 0)) return { events, exposure, rate: null, interval: null };
  const { low, high } = garwood(events);
  return {
    events,
    exposure,
    rate: events / exposure,
    interval: { low: low / exposure, high: high / exposure },
  };
}

export const inAll = (all: readonly Counted[]): Counted => ({
  events: all.reduce((sum, { events }) => sum + events, 0),
  exposure: all.reduce((sum, { exposure }) => sum + exposure, 0),
});
