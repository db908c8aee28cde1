import { type SmoothFlight, speedsOverGround } from '../smoothing/smooth-flight';
import {
  type EventFinder,
  type EventsFrom,
  type FlightEvent,
  flightEvent,
  speedAcross,
  stretches,
} from './flight-event';

/** Brakes and lean give no more than this, m/s² (35° of lean and drag: about 8). */
const NO_BRAKE_MPS2 = 12;
/** What a hit takes off at least, m/s, within so long, s. */
const TAKES_OFF_MPS = 1.8;
const WITHIN_S = 0.35;
/** Slower recorders smear a hit until nothing is left of it, lines a second. */
const FEWEST_HZ = 4;
/** Looked for so often, s: a recorder may be faster. */
const LOOKS_EVERY_S = 0.019;
/** One hit, however often it bounces, s. */
const APART_S = 4;
/** Whatever it met, it does not fly on: so slow across on the mean of a while after it, m/s and s. */
const [STAYS_MPS, STAYS_S] = [1, 1];

interface Told {
  readonly t: Float64Array;
  readonly east: Float64Array;
  readonly north: Float64Array;
  readonly up: Float64Array | null;
}

/** Speeds as they were told, which no smoothing has rounded off; else as they were worked out. */
function speedsAsTold(flight: SmoothFlight): Told {
  const { recording, axes, t } = flight;
  const told = speedsOverGround(recording);
  if (told)
    return { t: recording.t, east: told[0], north: told[1], up: recording.channels.get('v_up') ?? null };
  return { t, east: axes.east.speed, north: axes.north.speed, up: axes.up?.speed ?? null };
}

/** Across, as far as it goes on after a moment, m/s. */
function goesOn(flight: SmoothFlight, atS: number): number {
  const { axes, hz, t } = flight;
  const from = Math.min(t.length - 1, Math.round((atS + 0.3) * hz));
  const to = Math.min(t.length - 1, from + STAYS_S * hz);
  if (to <= from) return 0;
  const [dx, dy] = [axes.east, axes.north].map(({ place }) => place[to]! - place[from]!) as [number, number];
  return (Math.hypot(dx, dy) * hz) / (to - from);
}

/** Many times faster than `Math.hypot`, for figures that are neither huge nor tiny. */
const length3 = (x: number, y: number, z: number): number => Math.sqrt(x * x + y * y + z * z);

/** The hardest stop that begins at a line; null: nothing harder than brakes. */
function stopAt(
  { t, east, north, up }: Told,
  i: number,
  stride: number,
): { readonly mps2: number; readonly speedMps: number } | null {
  const size = (k: number) => length3(east[k]!, north[k]!, up ? up[k]! : 0);
  // Most lines are no hit: whoever is slow has nothing to lose.
  if (!(size(i) >= TAKES_OFF_MPS / 2)) return null;
  let best: { readonly mps2: number; readonly speedMps: number } | null = null;
  for (let k = i + stride; k < t.length && t[k]! - t[i]! <= WITHIN_S; k += stride) {
    const by = length3(east[k]! - east[i]!, north[k]! - north[i]!, up ? up[k]! - up[i]! : 0);
    const mps2 = by / Math.max(0.1, t[k]! - t[i]!);
    if (by >= TAKES_OFF_MPS && mps2 >= NO_BRAKE_MPS2 && size(k) < size(i) && mps2 > (best?.mps2 ?? 0))
      best = { mps2, speedMps: size(i) };
  }
  return best;
}

const wasFlying = ({ flight: { hz }, airborne }: EventsFrom, atS: number): boolean =>
  airborne[Math.max(0, Math.min(airborne.length - 1, Math.floor((atS - 0.2) * hz)))] === 1;

/** It stopped harder than it can by itself, and did not fly on. */
export const hitFinder: EventFinder = (from) => {
  const { flight } = from;
  if (flight.recording.hz < FEWEST_HZ) return [];
  const told = speedsAsTold(flight);
  // A recorder may be faster than it is looked at.
  const stride = Math.max(1, Math.floor(flight.recording.hz * LOOKS_EVERY_S));
  const found: FlightEvent[] = [];
  let looked = -Infinity;
  for (let i = 0; i < told.t.length; i += 1) {
    const atS = told.t[i]!;
    if (atS - looked < LOOKS_EVERY_S) continue;
    looked = atS;
    const stop = stopAt(told, i, stride);
    if (!stop || !wasFlying(from, atS) || goesOn(flight, atS + WITHIN_S) > STAYS_MPS) continue;
    const last = found.at(-1);
    const event = flightEvent('hit', atS, {
      sure: Math.min(0.95, 0.5 + 0.03 * (stop.mps2 - NO_BRAKE_MPS2)),
      by: stop,
    });
    if (!last || atS - last.atS > APART_S) found.push(event);
    else if (stop.mps2 > last.by['mps2']!) found[found.length - 1] = event;
  }
  return found;
};

/** Nobody puts it down so fast, m/s; looked at over so long before and after, s. */
const PUT_DOWN_MPS = 2.2;
const LOOKS_S = 0.4;
const LIES_MPS = 0.5;

/** It came down on something faster than it is put down, by heights alone: whoever tells no climb tells those. */
export const hitGroundFinder: EventFinder = (from) => {
  const { flight } = from;
  const up = flight.axes.up?.place;
  if (!up || flight.recording.hz < FEWEST_HZ || flight.recording.channels.has('v_up')) return [];
  const { t, hz } = flight;
  const looks = Math.round(LOOKS_S * hz);
  const climb = (a: number, b: number) => ((up[b]! - up[a]!) * hz) / (b - a);
  const lands = (i: number) =>
    i >= looks &&
    i + 2 * looks < t.length &&
    wasFlying(from, t[i]!) &&
    -climb(i - looks, i) > PUT_DOWN_MPS &&
    Math.abs(climb(i + looks, i + 2 * looks)) < LIES_MPS &&
    goesOn(flight, t[i + looks]!) < STAYS_MPS;
  return stretches(t.length, lands, { least: 1, bridges: APART_S * hz }).map(([first, last]) => {
    const at = (first + last) >> 1;
    const sink = -climb(first - looks, first);
    return flightEvent('hit', t[at]!, { sure: 0.7, by: { speedMps: sink, mps2: sink / LOOKS_S } });
  });
};

/** Slower than this it may have been put down in the last moment, m/s. */
const STILL_MPS = 0.7;

/** The recording breaks off while it flies: a crash may be why. */
export const cutOffFinder: EventFinder = ({ flight, airborne }) => {
  const last = flight.t.length - 1;
  if (airborne[last] === 0) return [];
  const speedMps = Math.hypot(speedAcross(flight, last), flight.axes.up?.speed[last] ?? 0);
  return [
    flightEvent('ends-in-the-air', flight.t[last]!, {
      sure: speedMps > STILL_MPS ? 0.8 : 0.5,
      by: { speedMps },
    }),
  ];
};
