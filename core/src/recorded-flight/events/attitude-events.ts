import { leanOf } from '../../geometry/rotation';
import { attitudesOf } from '../attitude';
import type { SmoothFlight } from '../smoothing/smooth-flight';
import { type EventFinder, flightEvent, stretches } from './flight-event';

/** Further over than this it lies on its side, degrees. */
const LIES_DEG = 70;
const LIES_S = 0.5;
/** A lean that comes within so short a time was not flown, degrees and s. */
const SNAP_DEG = 55;
const SNAP_S = 0.4;
/** Fewer lines a second miss it. */
const FEWEST_HZ = 4;
const APART_S = 3;

/** Lean moment by moment, degrees; null where attitude was not recorded, or only worked out of how it moved. */
export function leansOf(flight: SmoothFlight): Float64Array | null {
  const attitudes = attitudesOf(flight);
  if (attitudes.from === null || attitudes.from === 'acceleration') return null;
  return flight.t.map((_, i) => {
    const q = attitudes.at(i);
    return q ? leanOf(q) : NaN;
  });
}

/** It lies on its side on the ground. */
export const tippedFinder: EventFinder = (from) => {
  const { leans } = from;
  if (!leans) return [];
  const { t, hz } = from.flight;
  return stretches(t.length, (i) => leans[i]! > LIES_DEG && from.airborne[i] === 0, {
    least: LIES_S * hz,
    bridges: APART_S * hz,
  }).map(([first]) => flightEvent('tipped-over', t[first]!, { sure: 0.85, by: { deg: leans[first]! } }));
};

/** Its attitude went over faster than hands ask for, outside of rate mode. */
export const snappedFinder: EventFinder = (from) => {
  const { leans } = from;
  if (!leans || from.flight.recording.hz < FEWEST_HZ) return [];
  const { t, hz } = from.flight;
  const over = Math.round(SNAP_S * hz);
  return stretches(
    t.length,
    (i) => i >= over && from.airborne[i] === 1 && leans[i]! - leans[i - over]! > SNAP_DEG,
    { least: 1, bridges: APART_S * hz },
  ).map(([first, last]) =>
    flightEvent('snapped', t[first]!, {
      untilS: t[last]!,
      by: { deg: leans[first]! - leans[first - over]! },
    }),
  );
};
