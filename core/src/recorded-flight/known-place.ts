import { groundOf, standsAt } from './events/airborne';
import { speedAcross } from './events/flight-event';
import type { SmoothFlight } from './smoothing/smooth-flight';

/** Slower than this a file without heights begins on the ground, m/s. */
const STANDS_MPS = 0.6;

/** The ground under a flight, line by line, m over where it began. */
export type GroundUnder = (i: number) => number;

/** What of its place a file tells. */
export interface PlaceOfFile {
  /** Null: it never stood, or has no heights. */
  readonly ground: GroundUnder | null;
  /** Whether it began on the ground: there its pilot stands. */
  readonly fromPilot: boolean;
}

export function knownPlaceOf(flight: SmoothFlight): PlaceOfFile {
  const up = flight.axes.up?.place;
  if (!up) return { ground: null, fromPilot: speedAcross(flight, 0) < STANDS_MPS };
  return { ground: groundOf(flight, up), fromPilot: standsAt(flight, up, 'first') };
}
