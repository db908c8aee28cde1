import type { FieldPlace } from '../reps/placement';
import type { PlaceOfFile } from '../known-place';
import type { SmoothFlight } from '../smoothing/smooth-flight';
import type { MeanWind } from '../wind';

export const FLIGHT_EVENTS = [
  'take-off',
  'landing',
  'hit',
  'ends-in-the-air',
  'tipped-over',
  'snapped',
  'own-wash',
  'slid',
  'swung-up',
  'flew-itself',
  'mode-changed',
  'low-battery',
  'forced-landing',
  'link-lost',
  'low-return',
  'windy',
  'reversed',
  'braked-late',
  'far',
  'high',
  'crossed-line',
  'gap',
] as const;
export type FlightEventName = (typeof FLIGHT_EVENTS)[number];

/** Something that a recorded flight shows. */
export interface FlightEvent {
  readonly is: FlightEventName;
  readonly atS: number;
  /** When it was over, s; null: it is a moment. */
  readonly untilS: number | null;
  /** How sure it is, 0 to 1. */
  readonly sure: number;
  /** The figures that it was found by, in SI, for the sentence that says why. */
  readonly by: Readonly<Record<string, number>>;
}

/** What is known of craft and rules beside the flight. */
export interface EventLimits {
  /** Induced velocity in the hover, m/s. */
  readonly hoverInducedMps: number;
  /** As far as it can be read, m. */
  readonly sightM: number;
  readonly heightM: number;
  /** Share of the charge at which it should be on its way home. */
  readonly lowBattery: number;
  /** Half of what it flies at most, m/s. */
  readonly windMps: number;
  /** The tallest thing of the place, m; null: nobody knows the place. */
  readonly tallestM: number | null;
  /** A line that nobody is to fly over, east and north, m; null: none is marked. */
  readonly line: readonly [FieldPlace, FieldPlace] | null;
}

/** A craft of 0.9 kg and 0.35 m with four rotors of 0.105 m; 120 m of height (common practice, defer to local rules). */
export const USUAL_LIMITS: EventLimits = {
  hoverInducedMps: 5.1,
  sightM: 134,
  heightM: 120,
  lowBattery: 0.2,
  windMps: 7.5,
  tallestM: null,
  line: null,
};

export interface EventsFrom {
  readonly flight: SmoothFlight;
  readonly limits: EventLimits;
  /** Lean moment by moment, degrees; null where attitude was not recorded, or only worked out of how it moved. */
  readonly leans: Float64Array | null;
  /** Whether it was off the ground, moment by moment. */
  readonly airborne: Uint8Array;
  /** While it flew; null: nothing tells it. Worked out when it is asked for. */
  readonly wind: () => MeanWind | null;
  /** Where its ground is, and whether it began where its pilot stands. */
  readonly place: PlaceOfFile;
}

/** One kind of event, found in a flight. */
export type EventFinder = (from: EventsFrom) => readonly FlightEvent[];

export const flightEvent = (
  is: FlightEventName,
  atS: number,
  more: Partial<Pick<FlightEvent, 'untilS' | 'sure' | 'by'>> = {},
): FlightEvent => ({ is, atS, untilS: null, sure: 0.8, by: {}, ...more });

/** Stretches in which something holds, as first and last moment; shorter breaks than `bridges` do not end one. */
export function stretches(
  count: number,
  holds: (i: number) => boolean,
  { least, bridges = 0 }: { readonly least: number; readonly bridges?: number },
): readonly (readonly [number, number])[] {
  const found: [number, number][] = [];
  for (let i = 0; i < count; i += 1) {
    if (!holds(i)) continue;
    const last = found.at(-1);
    if (last && i - last[1] <= bridges + 1) last[1] = i;
    else found.push([i, i]);
  }
  return found.filter(([from, to]) => to - from + 1 >= least);
}

/** The greatest of something over a stretch; one may last for hours. */
export function mostIn([from, to]: readonly [number, number], of: (i: number) => number): number {
  let most = -Infinity;
  for (let i = from; i <= to; i += 1) most = Math.max(most, of(i));
  return most;
}

export const speedAcross = ({ axes }: SmoothFlight, i: number): number =>
  Math.hypot(axes.east.speed[i]!, axes.north.speed[i]!);
