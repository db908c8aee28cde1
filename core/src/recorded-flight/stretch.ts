import { FLIGHT_MODES, type FlightMode } from '../vocabulary/flying';
import type { RecordedField } from './mapping/fields';
import { isInGap, type SmoothFlight } from './smoothing/smooth-flight';

/** What is drawn over time, one under the other. */
export const LANES = ['speed', 'height', 'throttle', 'yaw', 'pitch', 'roll', 'battery'] as const;
export type LaneId = (typeof LANES)[number];

/** One figure over time: the least and the most of it in each column of the picture; NaN where it was not recorded. */
export interface FlightLane {
  readonly is: LaneId;
  readonly least: Float32Array;
  readonly most: Float32Array;
}

/** Flown in one mode, s; null: the craft flew by itself, or by none that is known here. */
export interface ModeRun {
  readonly fromS: number;
  readonly toS: number;
  readonly mode: FlightMode | null;
}

export interface DrawnPoint {
  readonly t: number;
  readonly x: number;
  readonly y: number;
  /** Null: no heights. */
  readonly z: number | null;
  /** Over the ground, m/s. */
  readonly speedMps: number;
  /** Nothing was recorded from the point before to this one. */
  readonly afterGap: boolean;
}

/** A part of a flight, thinned out to what a picture of a phone's width can show. */
export interface Stretch {
  readonly fromS: number;
  readonly toS: number;
  /** A break where nothing was recorded. */
  readonly path: readonly DrawnPoint[];
  readonly lanes: readonly FlightLane[];
  readonly modes: readonly ModeRun[];
}

/** Points of a path, and columns of a lane, that a picture can show. */
const [MOST_POINTS, COLUMNS] = [700, 320];

/** First and one past the last moment of a stretch. */
function endsOf({ t, hz }: SmoothFlight, fromS: number, toS: number): readonly [from: number, to: number] {
  const from = Math.max(0, Math.min(t.length - 1, Math.floor(fromS * hz)));
  return [from, Math.max(from + 1, Math.min(t.length, Math.ceil(toS * hz) + 1))];
}

function pathOf(flight: SmoothFlight, [from, to]: readonly [number, number]): readonly DrawnPoint[] {
  const { t, axes } = flight;
  const { east, north, up } = axes;
  const every = Math.max(1, Math.ceil((to - from) / MOST_POINTS));
  const points: DrawnPoint[] = [];
  let gap = false;
  for (let i = from; i < to; i += every) {
    if (isInGap(flight, t[i]!)) {
      gap = true;
      continue;
    }
    points.push({
      ...{ t: t[i]!, x: east.place[i]!, y: north.place[i]!, z: up?.place[i] ?? null },
      speedMps: Math.hypot(east.speed[i]!, north.speed[i]!),
      afterGap: gap,
    });
    gap = false;
  }
  return points;
}

type Reads = (i: number) => number;

function readsOf({ axes, channels }: SmoothFlight, lane: LaneId): Reads | null {
  if (lane === 'speed') return (i) => Math.hypot(axes.east.speed[i]!, axes.north.speed[i]!);
  if (lane === 'height') return axes.up && ((i) => axes.up!.place[i]!);
  const field: RecordedField = lane === 'battery' ? lane : `stick_${lane}`;
  const values = channels.get(field);
  return values ? (i) => values[i]! : null;
}

function laneOf(flight: SmoothFlight, [from, to]: readonly [number, number], is: LaneId): FlightLane | null {
  const reads = readsOf(flight, is);
  if (!reads) return null;
  const columns = Math.min(COLUMNS, to - from);
  const least = new Float32Array(columns).fill(NaN);
  const most = new Float32Array(columns).fill(NaN);
  // Every figure comes into one column: a swing between two that are drawn is not lost.
  for (let i = from; i < to; i += 1) {
    if (isInGap(flight, flight.t[i]!)) continue;
    const value = reads(i);
    if (!Number.isFinite(value)) continue;
    const at = Math.min(columns - 1, Math.floor(((i - from) / (to - from)) * columns));
    if (!(least[at]! <= value)) least[at] = value;
    if (!(most[at]! >= value)) most[at] = value;
  }
  return most.some(Number.isFinite) ? { is, least, most } : null;
}

function modesIn({ t, channels }: SmoothFlight, [from, to]: readonly [number, number]): readonly ModeRun[] {
  const modes = channels.get('mode');
  if (!modes) return [];
  const runs: { fromS: number; toS: number; mode: FlightMode | null }[] = [];
  for (let i = from; i < to; i += 1) {
    const mode = FLIGHT_MODES[modes[i]!] ?? null;
    const last = runs.at(-1);
    if (last?.mode === mode) last.toS = t[i]!;
    else runs.push({ fromS: t[i]!, toS: t[i]!, mode });
  }
  return runs;
}

/**
 * A part of a flight for drawing.
 * @param fromS @param toS s from its beginning
 */
export function stretchOf(flight: SmoothFlight, fromS: number, toS: number): Stretch {
  const ends = endsOf(flight, fromS, toS);
  return {
    ...{ fromS, toS },
    path: pathOf(flight, ends),
    lanes: LANES.flatMap((is) => laneOf(flight, ends, is) ?? []),
    modes: modesIn(flight, ends),
  };
}

/** The point of a path that is nearest in time. */
export const pointAt = (path: readonly DrawnPoint[], t: number): DrawnPoint =>
  path.reduce((best, each) => (Math.abs(each.t - t) < Math.abs(best.t - t) ? each : best));
