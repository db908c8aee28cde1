import { airborneIn } from './events/airborne';
import { fingerprintOf } from './fingerprint';
import { findEvents } from './events/find-events';
import type { EventLimits, FlightEvent } from './events/flight-event';
import type { RecordedField } from './mapping/fields';
import { packsIn } from './packs';
import type { SmoothFlight } from './smoothing/smooth-flight';
import type { Recording } from './recording';
import { type Stretch, stretchOf } from './stretch';
import { type MeanWind, meanWindOf } from './wind';

/** What a page shows of a flight: drawn small, told in figures. */
export interface FlightView {
  readonly lastsS: number;
  /** What it is known again by. */
  readonly fingerprint: string;
  /** Off the ground, s. */
  readonly airborneS: number;
  readonly hz: number;
  /** Where east and north are 0 on the earth; null: the file's own places, that no map shows. */
  readonly origin: Recording['origin'];
  /** s since 1970; null: nobody knows when. */
  readonly startedAt: number | null;
  readonly farthestM: number;
  readonly highestM: number | null;
  readonly fastestMps: number;
  /** Batteries flown. */
  readonly packs: number;
  /** While it flew; null: nothing tells it. */
  readonly wind: MeanWind | null;
  /** Spread of its places and speeds, median of the flight, m and m/s. */
  readonly placeSdM: number;
  readonly speedSdMps: number;
  /** All of it, thinned out for drawing. */
  readonly whole: Stretch;
  readonly events: readonly FlightEvent[];
  /** What was recorded beside places. */
  readonly recorded: readonly RecordedField[];
}

const greatest = (count: number, of: (i: number) => number): number => {
  let most = 0;
  for (let i = 0; i < count; i += 1) most = Math.max(most, of(i));
  return most;
};

const middleOf = (values: Float64Array): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;

/** @param limits of the craft and the place */
export function viewOf(flight: SmoothFlight, limits?: EventLimits): FlightView {
  const { t, axes, recording } = flight;
  const { east, north, up } = axes;
  const airborne = airborneIn(flight);
  const wind = meanWindOf(flight, airborne);
  return {
    lastsS: t.at(-1)!,
    fingerprint: fingerprintOf(recording),
    airborneS: airborne.reduce((sum, each) => sum + each, 0) / flight.hz,
    hz: recording.hz,
    origin: recording.origin,
    startedAt: recording.startedAt,
    farthestM: greatest(t.length, (i) => Math.hypot(east.place[i]!, north.place[i]!)),
    highestM: up && greatest(t.length, (i) => up.place[i]!),
    fastestMps: greatest(t.length, (i) => Math.hypot(east.speed[i]!, north.speed[i]!)),
    packs: packsIn(flight),
    wind,
    placeSdM: Math.hypot(middleOf(east.placeSd), middleOf(north.placeSd)),
    speedSdMps: Math.hypot(middleOf(east.speedSd), middleOf(north.speedSd)),
    whole: stretchOf(flight, 0, t.at(-1)!),
    events: findEvents(flight, limits, { airborne, wind }),
    recorded: [...recording.channels.keys()],
  };
}
