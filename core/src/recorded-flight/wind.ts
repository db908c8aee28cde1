import { thrustAxis } from '../geometry/rotation';
import { G_MPS2 } from '../reconstruct/constants';
import { attitudesOf } from './attitude';
import { airborneIn } from './events/airborne';
import type { SmoothFlight } from './smoothing/smooth-flight';

/** The mean wind of a flight, where it blows to, and how far off either part of it may be (one standard deviation). */
export interface MeanWind {
  readonly eastMps: number;
  readonly northMps: number;
  readonly sdMps: number;
  readonly from: 'told' | 'lean';
}

/** A wind that is known no better than this says nothing of the day, m/s. */
const OF_USE_MPS = 1.5;

/** Whether it may stand for the wind of the day. */
export const isOfUse = ({ sdMps }: MeanWind): boolean => sdMps <= OF_USE_MPS;
/** Whether it is known where it comes from. */
export const hasDirection = ({ eastMps, northMps, sdMps }: MeanWind): boolean =>
  Math.hypot(eastMps, northMps) > 1.5 * sdMps;

/** Looked at so often, Hz, and at least for so long, s. */
const LOOKS_HZ = 5;
const LEAST_S = 10;
/** Drag of small craft in proportion to air speed, 1/s: top speed is reached with a drag time of 2 to 4 s (common practice). */
const DRAG = 0.37;
const DRAG_SD = 0.1;
/** What is not drag or wind comes and goes within so long, s. */
const APART_S = 3;
/** How far off an attitude may stand all the time, rad (one degree: trim, mounting). */
const CROOKED_RAD = Math.PI / 180;
/** How far off a told wind may be, m/s. */
const TOLD_SD = 0.4;
const LEANS_AT_MOST = 0.5;

interface Seen {
  /** Speed over the ground, and what of the lean did not push it on, m/s², east and north in turn. */
  readonly speed: readonly (readonly [number, number])[];
  readonly held: readonly (readonly [number, number])[];
}

/** Lean that pushes nothing on is held against the air. */
function seenIn(flight: SmoothFlight, airborne: Uint8Array): Seen | null {
  const { east, north, up } = flight.axes;
  const attitudes = attitudesOf(flight);
  if (attitudes.from === null || attitudes.from === 'acceleration') return null;
  const speed: (readonly [number, number])[] = [];
  const held: (readonly [number, number])[] = [];
  for (let i = 0; i < flight.t.length; i += Math.round(flight.hz / LOOKS_HZ)) {
    const q = airborne[i] ? attitudes.at(i) : null;
    if (!q) continue;
    const [x, y, z] = thrustAxis(q);
    if (z < LEANS_AT_MOST) continue;
    const lifts = (G_MPS2 + (up?.push[i] ?? 0)) / z;
    speed.push([east.speed[i]!, north.speed[i]!]);
    held.push([x * lifts - east.push[i]!, y * lifts - north.push[i]!]);
  }
  return speed.length >= LEAST_S * LOOKS_HZ ? { speed, held } : null;
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * Wind from lean: what the lean holds is drag · (speed − wind) on both axes. Least squares for the drag, which has a prior,
 * and the wind; Newton's second law with linear drag.
 */
function fromLean({ speed, held }: Seen): MeanWind {
  const of = (values: Seen['speed'], axis: 0 | 1) => values.map((each) => each[axis]);
  const axes = ([0, 1] as const).map((axis) => {
    const [v, h] = [of(speed, axis), of(held, axis)];
    const [middleV, middleH] = [mean(v), mean(h)];
    return {
      middleV,
      middleH,
      vv: v.reduce((sum, each) => sum + (each - middleV) ** 2, 0),
      vh: v.reduce((sum, each, i) => sum + (each - middleV) * (h[i]! - middleH), 0),
      hh: h.reduce((sum, each) => sum + (each - middleH) ** 2, 0),
    };
  });
  const [vv, vh, hh] = (['vv', 'vh', 'hh'] as const).map((name) => axes[0]![name] + axes[1]![name]) as [
    number,
    number,
    number,
  ];
  const count = speed.length;
  // Lines close together say the same: only those far enough apart count.
  const independent = Math.max(1, count / (LOOKS_HZ * APART_S));
  const share = independent / count;
  const free = vv > 0 ? vh / vv : DRAG;
  const noise = Math.max(0.01, (hh - free * vh) / (2 * count));
  const [told, prior] = [(vv * share) / noise, 1 / DRAG_SD ** 2];
  const drag = Math.max(0.1, (told * free + prior * DRAG) / (told + prior));
  const dragVar = 1 / (told + prior);
  const [east, north] = axes.map(({ middleV, middleH }) => middleV - middleH / drag) as [number, number];
  const bySpread = noise / independent / drag ** 2;
  const byDrag = (mean(axes.map(({ middleH }) => middleH ** 2)) / drag ** 4) * dragVar;
  const byMount = ((G_MPS2 * CROOKED_RAD) / drag) ** 2;
  return { eastMps: east, northMps: north, sdMps: Math.sqrt(bySpread + byDrag + byMount), from: 'lean' };
}

/** The mean wind while it flew: as the recorder tells it, or by the lean that was held against it; null: neither. */
export function meanWindOf(flight: SmoothFlight, airborne = airborneIn(flight)): MeanWind | null {
  const [east, north] = [flight.channels.get('wind_east'), flight.channels.get('wind_north')];
  if (east && north) {
    const told = [...east.keys()].filter((i) => airborne[i] && Number.isFinite(east[i]! + north[i]!));
    if (told.length > 0)
      return {
        eastMps: mean(told.map((i) => east[i]!)),
        northMps: mean(told.map((i) => north[i]!)),
        sdMps: TOLD_SD,
        from: 'told',
      };
  }
  const seen = seenIn(flight, airborne);
  return seen && fromLean(seen);
}
