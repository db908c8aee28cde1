import type { Evidence } from '../evidence/evidence';
import { evidenceOf, type FlightRead, readFlight } from '../flight-reading/read-flight';
import type { Ended } from '../simulator/simulated-flight';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { asFlightLog } from './as-flight-log';
import type { FlightEvent } from './events/flight-event';
import type { SmoothFlight } from './smoothing/smooth-flight';

/** A flight is read so long before what happened: what was flown minutes ago is not how it came to it, s. */
const READS_S = 45;
/** What it met no higher than this was the ground, m. */
const GROUND_M = 1.5;

function endedAt(flight: SmoothFlight, { is, atS, by }: FlightEvent): Ended {
  if (is !== 'hit') return null;
  const at = Math.min(flight.t.length - 1, Math.round(atS * flight.hz));
  const up = flight.axes.up?.place;
  const speedMps = by['speedMps'] ?? 0;
  const isLow = up !== undefined && up[at]! < GROUND_M;
  return { how: isLow ? 'ground' : 'solid', atS, speedMps, solid: null };
}

/** A flight from so long before a moment up to it, with nothing before and nothing after. */
function upTo(flight: SmoothFlight, atS: number): SmoothFlight {
  const [from, to] = [Math.max(0, atS - READS_S), atS].map((s) => Math.round(s * flight.hz)) as [
    number,
    number,
  ];
  const cut = (values: Float64Array) => values.slice(from, to + 1);
  const axis = ({ place, speed, push, placeSd, speedSd }: SmoothFlight['axes']['east']) => ({
    ...{ place: cut(place), speed: cut(speed), push: cut(push) },
    ...{ placeSd: cut(placeSd), speedSd: cut(speedSd) },
  });
  const { east, north, up } = flight.axes;
  return {
    ...flight,
    t: cut(flight.t),
    axes: { east: axis(east), north: axis(north), up: up && axis(up) },
    channels: new Map([...flight.channels].map(([field, values]) => [field, cut(values)])),
  };
}

/** The flight around something that happened in it, as its readers read it. */
export function readBefore(flight: SmoothFlight, event: FlightEvent, facts: CraftFacts): FlightRead {
  const ended = endedAt(flight, event);
  // What went on for a while is read to its end.
  const overS = event.untilS ?? event.atS;
  return readFlight({
    track: asFlightLog(upTo(flight, overS)),
    ...{ cuts: [], atS: overS, ended, facts, solids: [] },
  });
}

/** What a debrief would ask and the flight itself answers, around something that happened in it. */
export const evidenceAt = (flight: SmoothFlight, event: FlightEvent, facts: CraftFacts): Evidence =>
  evidenceOf(readBefore(flight, event, facts));
