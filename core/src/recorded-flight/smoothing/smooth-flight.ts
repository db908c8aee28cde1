import type { RecordedField } from '../mapping/fields';
import { medianStep } from '../mapping/by-range';
import type { Recording } from '../recording';
import { type AxisModel, AxisSmoother, type SmoothAxis } from './axis';

/** A flight with place, velocity and acceleration at every moment, and how sure each is. */
export interface SmoothFlight {
  readonly hz: number;
  /** s, evenly spaced. */
  readonly t: Float64Array;
  readonly axes: { readonly east: SmoothAxis; readonly north: SmoothAxis; readonly up: SmoothAxis | null };
  /** Whatever else was recorded, at the same moments; NaN in gaps. */
  readonly channels: ReadonlyMap<RecordedField, Float64Array>;
  readonly gaps: Recording['gaps'];
  readonly recording: Recording;
}

export const SMOOTH_HZ = 50;
/** Jerk of small craft in hand, m²/s⁵ (common practice: 5 m/s³ that lasts half a second or so). */
const JERK = 12;
/** How places err: satellites wander, a barometer drifts, what is measured in a hall hardly does. From memory. */
const ERRS = {
  satellites: { sd: 0.15, wander: { m: 1.2, s: 25 } },
  barometer: { sd: 0.15, wander: { m: 0.5, s: 40 } },
  local: { sd: 0.06, wander: null },
  speed: 0.12,
} as const;
/** Slower than this, moments between two lines are worked out as well, s. */
const SPARSE_S = 0.06;

/** A recorder that writes faster than it knows repeats itself; after so long it has looked again, s. */
const LOOKS_AGAIN_S = 1.2;

/** A figure that was written again and again until the next was known: only its changes are told. */
function withoutHeld(values: Float64Array, t: Float64Array): Float64Array {
  let held = 0;
  for (let i = 1; i < values.length; i += 1) if (values[i] === values[i - 1]) held += 1;
  if (held < 0.5 * values.length) return values;
  // A craft that stands still is no held figure.
  let last = -Infinity;
  return values.map((value, i) => {
    if (i > 0 && value === values[i - 1] && t[i]! - last < LOOKS_AGAIN_S) return NaN;
    last = t[i]!;
    return value;
  });
}

/** Spread of a figure that is rounded, beside its own (uniform: step / √12). */
const withRounding = (values: Float64Array, sd: number): number => {
  const step = medianStep(values);
  return Number.isFinite(step) && step > sd ? Math.hypot(sd, Math.min(step, 5) / Math.sqrt(12)) : sd;
};

/** The moments that are worked out: those told, at most 50 a second, and where they are rarer those between. */
function momentsOf({ t }: Recording): { readonly moments: Float64Array; readonly rows: Int32Array } {
  const moments: number[] = [];
  const rows: number[] = [];
  let last = -Infinity;
  for (let i = 0; i < t.length; i += 1) {
    if (t[i]! - last < 1 / SMOOTH_HZ - 1e-4 && last >= 0) continue;
    const between =
      last >= 0 && t[i]! - last > SPARSE_S ? Math.min(20_000, Math.floor((t[i]! - last) * SMOOTH_HZ)) : 0;
    for (let k = 1; k < between; k += 1) {
      moments.push(last + (k * (t[i]! - last)) / between);
      rows.push(-1);
    }
    moments.push(t[i]!);
    rows.push(i);
    last = t[i]!;
  }
  return { moments: Float64Array.from(moments), rows: Int32Array.from(rows) };
}

function atRows(values: Float64Array, rows: Int32Array): Float64Array {
  const out = new Float64Array(rows.length);
  for (let i = 0; i < rows.length; i += 1) out[i] = rows[i]! < 0 ? NaN : values[rows[i]!]!;
  return out;
}

interface AxisFrom {
  readonly place: Float64Array;
  readonly speed: Float64Array | null;
  readonly errs: { readonly sd: number; readonly wander: AxisModel['wander'] };
}

function smoothAxis(
  { place, speed, errs }: AxisFrom,
  t: Float64Array,
  { moments, rows }: ReturnType<typeof momentsOf>,
): SmoothAxis {
  const told = withoutHeld(place, t);
  return new AxisSmoother({ jerk: JERK, wander: errs.wander }).smooth({
    t: moments,
    place: atRows(told, rows),
    placeSd: withRounding(told, errs.sd),
    speed: speed && atRows(withoutHeld(speed, t), rows),
    speedSd: speed ? withRounding(speed, ERRS.speed) : ERRS.speed,
  });
}

/** Speeds east and north: told, or from speed and course. */
export function speedsOverGround({ channels }: Recording): readonly [Float64Array, Float64Array] | null {
  const [east, north] = [channels.get('v_east'), channels.get('v_north')];
  if (east && north) return [east, north];
  const [speed, course] = [channels.get('speed'), channels.get('course')];
  if (!speed || !course) return null;
  return [speed.map((v, i) => v * Math.sin(course[i]!)), speed.map((v, i) => v * Math.cos(course[i]!))];
}

/** Even moments from the first to the last. */
const evenly = (last: number): Float64Array =>
  Float64Array.from({ length: Math.floor(last * SMOOTH_HZ + 1e-6) + 1 }, (_, i) => i / SMOOTH_HZ);

/** The moment at or before each even one. */
function placesIn(moments: Float64Array, even: Float64Array): Int32Array {
  let at = 0;
  return Int32Array.from(even, (t) => {
    while (at + 2 < moments.length && moments[at + 1]! <= t) at += 1;
    return at;
  });
}

/** Between two moments a place goes on by its speeds (cubic Hermite), everything else straight. */
function evenAxis(axis: SmoothAxis, moments: Float64Array, even: Float64Array, at: Int32Array): SmoothAxis {
  const straight = (values: Float64Array) =>
    even.map((t, i) => {
      const a = at[i]!;
      const b = Math.min(a + 1, moments.length - 1);
      const dt = moments[b]! - moments[a]!;
      return dt > 0 ? values[a]! + ((t - moments[a]!) / dt) * (values[b]! - values[a]!) : values[a]!;
    });
  const place = even.map((t, i) => {
    const a = at[i]!;
    const b = Math.min(a + 1, moments.length - 1);
    const dt = moments[b]! - moments[a]!;
    if (dt <= 0) return axis.place[a]!;
    const u = (t - moments[a]!) / dt;
    const [u2, u3] = [u * u, u * u * u];
    return (
      (2 * u3 - 3 * u2 + 1) * axis.place[a]! +
      (u3 - 2 * u2 + u) * dt * axis.speed[a]! +
      (3 * u2 - 2 * u3) * axis.place[b]! +
      (u3 - u2) * dt * axis.speed[b]!
    );
  });
  return {
    place,
    speed: straight(axis.speed),
    push: straight(axis.push),
    placeSd: straight(axis.placeSd),
    speedSd: straight(axis.speedSd),
  };
}

/** Whatever else was recorded: the last that was told, for as long as it can hold. */
const HOLDS_S = 2;
function evenChannel(values: Float64Array, told: Float64Array, even: Float64Array): Float64Array {
  let at = 0;
  let known = -1;
  return even.map((t) => {
    while (at < told.length && told[at]! <= t + 1e-9) {
      if (Number.isFinite(values[at]!)) known = at;
      at += 1;
    }
    return known >= 0 && t - told[known]! <= HOLDS_S ? values[known]! : NaN;
  });
}

/** Smooths a recording: 50 moments a second, each by all that was told before and after it. */
export function smoothFlight(recording: Recording): SmoothFlight {
  const { t, channels, origin, gaps } = recording;
  const worked = momentsOf(recording);
  const { moments } = worked;
  const even = evenly(t.at(-1)!);
  const at = placesIn(moments, even);
  const speeds = speedsOverGround(recording);
  const errs = origin ? ERRS.satellites : ERRS.local;
  const axisOf = (from: AxisFrom) => evenAxis(smoothAxis(from, t, worked), moments, even, at);
  const up = channels.get('up');
  const axes = {
    east: axisOf({ place: channels.get('east')!, speed: speeds?.[0] ?? null, errs }),
    north: axisOf({ place: channels.get('north')!, speed: speeds?.[1] ?? null, errs }),
    up: up
      ? axisOf({ place: up, speed: channels.get('v_up') ?? null, errs: origin ? ERRS.barometer : ERRS.local })
      : null,
  };
  const others = new Map(
    [...channels]
      .filter(([field]) => !['east', 'north', 'up'].includes(field))
      .map(([field, values]) => [field, evenChannel(values, t, even)] as const),
  );
  return { hz: SMOOTH_HZ, t: even, axes, channels: others, gaps, recording };
}

/** Whether a moment lies in a gap. */
export const isInGap = ({ gaps }: Pick<SmoothFlight, 'gaps'>, t: number): boolean =>
  gaps.some(([from, to]) => t > from && t < to);
