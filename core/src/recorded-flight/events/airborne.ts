import type { SmoothFlight } from '../smoothing/smooth-flight';
import { type EventFinder, flightEvent, speedAcross, stretches } from './flight-event';

/** Higher than this over the ground it flies, m; and it stays so for a second. */
const FLIES_M = 0.8;
const STAYS_S = 1;
/** On the ground between two flights at least so long, s. */
const LANDED_S = 3;
/** Where nobody recorded heights: faster than this it flies, m/s. */
const FLIES_MPS = 1.2;
/** It stands on the ground where it is still for a second, and flies so much higher elsewhere, m. */
const STILL_MPS = 0.5;
const HIGHER_M = 1.2;

/** Places that wander seem to move: what is within twice the spread of its speed may stand still. */
function stillUpTo({ axes: { east, north, up } }: SmoothFlight, i: number): number {
  return Math.max(STILL_MPS, 2 * Math.hypot(east.speedSd[i]!, north.speedSd[i]!, up!.speedSd[i]!));
}

/** Whether it stands at one end of the recording: still there, and the rest of the flight is above. */
export function standsAt(flight: SmoothFlight, up: Float64Array, end: 'first' | 'last'): boolean {
  const second = Math.min(up.length, flight.hz);
  const from = end === 'first' ? 0 : up.length - second;
  for (let i = from; i < from + second; i += 1)
    if (Math.hypot(speedAcross(flight, i), flight.axes.up!.speed[i]!) > stillUpTo(flight, i)) return false;
  const [lowest, highest] = [Math.min, Math.max].map((of) => up.reduce((a, b) => of(a, b)));
  const level = up[end === 'first' ? 0 : up.length - 1]!;
  return highest! - level > HIGHER_M && level - lowest! < HIGHER_M;
}

/** The ground under the flight, from where it stands at its ends, since heights drift; null: it never stands. */
export function groundOf(flight: SmoothFlight, up: Float64Array): ((i: number) => number) | null {
  const [first, last] = [standsAt(flight, up, 'first'), standsAt(flight, up, 'last')];
  if (!first && !last) return null;
  const [a, b] = [up[first ? 0 : up.length - 1]!, up[last ? up.length - 1 : 0]!];
  return (i) => a + ((b - a) * i) / up.length;
}

/** Whether it was off the ground, moment by moment. A flight that never stands was recorded in the air. */
export function airborneIn(flight: SmoothFlight): Uint8Array {
  const { t, hz, axes } = flight;
  const up = axes.up?.place;
  const ground = up && groundOf(flight, up);
  const flies = (i: number) =>
    up ? ground === null || up[i]! - ground!(i) > FLIES_M : speedAcross(flight, i) > FLIES_MPS;
  const airborne = new Uint8Array(t.length);
  for (const [from, to] of stretches(t.length, flies, { least: STAYS_S * hz, bridges: LANDED_S * hz }))
    airborne.fill(1, from, to + 1);
  return airborne;
}

/** Until it is so high it was still about to lift off, m. */
const LIFTS_M = 0.25;
/** Looked back for that at most so long, s. */
const LOOKS_S = 6;

/** Goes from a moment one way until it is as low as the ground there. */
function toGround(flight: SmoothFlight, from: number, step: 1 | -1): number {
  const up = flight.axes.up?.place;
  if (!up) return from;
  const most = LOOKS_S * flight.hz;
  let lowest = from;
  for (let k = 0, i = from; k < most && i >= 0 && i < up.length; k += 1, i += step)
    if (up[i]! < up[lowest]!) lowest = i;
  let i = from;
  while (i !== lowest && up[i]! > up[lowest]! + LIFTS_M) i += step;
  return i;
}

/** Take-off and landing of each flight in the recording. */
export const airborneFinder: EventFinder = ({ flight, airborne }) => {
  const { t, hz } = flight;
  return stretches(t.length, (i) => airborne[i] === 1, { least: hz }).flatMap(([from, to]) => {
    const sure = flight.axes.up ? 0.9 : 0.6;
    const lands = to < t.length - 1;
    return [
      ...(from > 0 ? [flightEvent('take-off', t[toGround(flight, from, -1)]!, { sure })] : []),
      ...(lands ? [flightEvent('landing', t[toGround(flight, to, 1)]!, { sure })] : []),
    ];
  });
};
