import { craftFacts, USUAL_CRAFT } from '../../vocabulary/craft-facts';
import type { Finding } from '../../flight-reading/finding';
import { readBefore } from '../evidence-at';
import {
  type EventsFrom,
  type FlightEvent,
  type FlightEventName,
  flightEvent,
  speedAcross,
} from './flight-event';

/** What led to a bad end, found by looking back from it. */

const ENDS: ReadonlySet<FlightEventName> = new Set(['hit', 'ends-in-the-air', 'tipped-over', 'snapped']);
/** A correction that is read less surely is not told as one. */
const SURE_ENOUGH = 0.4;
/** Toward the pilot is so near to it, degrees. */
const TOWARD_DEG = 65;

/** With the nose toward the pilot, as far as anybody can tell: otherwise nobody knows what was meant. */
const isNoseIn = (findings: readonly Finding[]): boolean =>
  findings.some(
    ({ id, value }) =>
      id === 'nose' && typeof value === 'number' && Math.abs((value % 360) - 180) < TOWARD_DEG,
  );

/** With the nose toward the pilot the first correction went the wrong way, and it ended badly. */
export function reversedBefore(
  { flight }: EventsFrom,
  found: readonly FlightEvent[],
): readonly FlightEvent[] {
  const facts = craftFacts(USUAL_CRAFT);
  const moments = found
    .filter(({ is }) => ENDS.has(is))
    .map((event) => readBefore(flight, event, facts).findings)
    .filter(isNoseIn)
    .flatMap((findings) =>
      findings.filter(
        ({ id, value, sure }) => id === 'first_move' && value === 'opposite' && sure >= SURE_ENOUGH,
      ),
    );
  const events: FlightEvent[] = [];
  for (const { atS, sure } of moments)
    // One correction that led to two things is one.
    if (!events.some((each) => Math.abs(each.atS - atS) < 1))
      events.push(flightEvent('reversed', atS, { sure }));
  return events;
}

/** Slower than this nobody has to brake for, m/s; and so much slower it gets by braking, m/s². */
const FAST_MPS = 3;
const BRAKES_MPS2 = 1.5;
/** Looked back so long for the beginning of the braking, s; a stop that took longer was not late. */
const LOOKS_S = 6;
const LATE_S = 3;
/** What the smoother makes of a hit is no braking, s before it. */
const SMEARED_S = 0.2;

/** Braked only when there was too little room, or not at all, and ran into something level. */
export function brakedLateBefore(
  { flight }: EventsFrom,
  found: readonly FlightEvent[],
): readonly FlightEvent[] {
  const { axes, t, hz } = flight;
  const { east, north, up } = axes;
  const slows = (i: number) => {
    const [vx, vy] = [east.speed[i]!, north.speed[i]!];
    return -(vx * east.push[i]! + vy * north.push[i]!) / Math.max(0.1, Math.hypot(vx, vy));
  };
  return found.flatMap(({ is, atS }) => {
    const end = Math.round((atS - SMEARED_S) * hz);
    if (is !== 'hit' || end < hz) return [];
    const first = Math.max(0, end - LOOKS_S * hz);
    let from = end;
    while (from > first && slows(from - 1) > BRAKES_MPS2) from -= 1;
    const speedMps = speedAcross(flight, from);
    const brakedS = (end - from) / hz;
    const isLevel = !up || Math.abs(up.speed[from]!) < speedMps;
    if (speedMps < FAST_MPS || !isLevel || brakedS > LATE_S) return [];
    const roomM = Math.hypot(east.place[end]! - east.place[from]!, north.place[end]! - north.place[from]!);
    return [
      flightEvent('braked-late', t[from]!, { untilS: atS, sure: 0.7, by: { speedMps, brakedS, roomM } }),
    ];
  });
}
