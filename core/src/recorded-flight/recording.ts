import { FLIGHT_MODES } from '../vocabulary/flying';
import { sentence } from '../vocabulary/said';
import { LocalFrame } from './local-frame';
import { medianStep } from './mapping/by-range';
import { pressureAltitude } from '../reconstruct/pressure-altitude';
import { type RecordedField, FIELDS } from './mapping/fields';
import { fieldInSi } from './mapping/in-si';
import { mappedTo, type Mapping } from './mapping/mapping';
import { RecordingProblem } from './recording-problem';
import type { Table } from './table/table';

/** A flight as it was recorded: lines in order, in SI, each column as far as it was there. */
export interface Recording {
  /** s from its first line, rising. */
  readonly t: Float64Array;
  /** When the first line was written, s since 1970; null: nobody knows. */
  readonly startedAt: number | null;
  /** Where east and north are 0; null: the file's own places. */
  readonly origin: { readonly latDeg: number; readonly lonDeg: number } | null;
  /** In SI; places in `east`, `north` and `up` in m, up from where it began; `mode` as a place in FLIGHT_MODES or −1. */
  readonly channels: ReadonlyMap<RecordedField, Float64Array>;
  readonly hz: number;
  /** Nothing was written from the first to the second, s. */
  readonly gaps: readonly (readonly [fromS: number, toS: number])[];
}

/** Longer than this, and than so many usual steps, is a gap. */
const [GAP_S, GAP_STEPS] = [1, 3.5];
const DAY_S = 86_400;
/** A flight of fewer lines says nothing. */
const FEWEST_LINES = 8;
const LONGEST_S = 3 * 3600;

/** Which lines stand in order of their time; a clock that passes midnight goes on. */
function orderedTimes(
  raw: Float64Array,
  isClock: boolean,
): { readonly rows: Uint32Array; readonly t: Float64Array } {
  const rows = new Uint32Array(raw.length);
  const t = new Float64Array(raw.length);
  let [count, day, last] = [0, 0, -Infinity];
  for (let i = 0; i < raw.length; i += 1) {
    let now = raw[i]! + day;
    if (isClock && now < last - DAY_S / 2) {
      day += DAY_S;
      now += DAY_S;
    }
    // NaN is not greater either.
    if (!(now > last)) continue;
    rows[count] = i;
    t[count] = last = now;
    count += 1;
  }
  return { rows: rows.slice(0, count), t: t.slice(0, count) };
}

/** A loop, since there are a million of them: `from` goes by iterators. */
function picked(values: Float64Array, rows: Uint32Array): Float64Array {
  const out = new Float64Array(rows.length);
  for (let i = 0; i < rows.length; i += 1) out[i] = values[rows[i]!]!;
  return out;
}

/** Places on the flat map, from the earth's degrees; 0, 0 is what a recorder writes before it knows. */
function onMap(lat: Float64Array, lon: Float64Array) {
  const isPlace = (i: number) =>
    Math.abs(lat[i]!) <= 90 && Math.abs(lon[i]!) <= 180 && !(lat[i] === 0 && lon[i] === 0);
  let first = 0;
  while (first < lat.length && !isPlace(first)) first += 1;
  if (first === lat.length) return null;
  const origin = { latDeg: lat[first]!, lonDeg: lon[first]! };
  const frame = new LocalFrame(origin.latDeg, origin.lonDeg);
  const [east, north] = [new Float64Array(lat.length).fill(NaN), new Float64Array(lat.length).fill(NaN)];
  for (let i = 0; i < lat.length; i += 1)
    if (isPlace(i)) [east[i], north[i]] = frame.toLocal(lat[i]!, lon[i]!) as [number, number];
  return { origin, east, north };
}

/** Heights from where it began. */
function fromStart(up: Float64Array): Float64Array {
  const first = up.find(Number.isFinite) ?? 0;
  return up.map((value) => value - first);
}

function modesOf(table: Table, mapping: Mapping, rows: Uint32Array): Float64Array | null {
  const mode = mappedTo(mapping, 'mode');
  if (!mode) return null;
  const { words, values, kind } = table.columns[mode.at]!;
  const means = (value: number): number => {
    const word = kind === 'words' ? words[value] : String(value);
    const is = word === undefined ? null : (mapping.modes[word] ?? null);
    return is === null ? -1 : FLIGHT_MODES.indexOf(is);
  };
  return Float64Array.from(rows, (row) => means(values[row]!));
}

function gapsOf(t: Float64Array, usual: number): readonly (readonly [number, number])[] {
  const least = Math.max(GAP_S, GAP_STEPS * usual);
  const gaps: [number, number][] = [];
  for (let i = 1; i < t.length; i += 1) if (t[i]! - t[i - 1]! > least) gaps.push([t[i - 1]!, t[i]!]);
  return gaps;
}

const PLAIN = FIELDS.filter(
  (field) => !['time', 'latitude', 'longitude', 'up', 'mode', 'pressure'].includes(field),
);

/** Everything that was recorded, at the lines that stand in order. */
function channelsOf(table: Table, mapping: Mapping, rows: Uint32Array) {
  const channels = new Map<RecordedField, Float64Array>();
  for (const field of PLAIN) {
    const values = fieldInSi(table, mapping, field);
    if (values) channels.set(field, picked(values, rows));
  }
  const [lat, lon] = [fieldInSi(table, mapping, 'latitude'), fieldInSi(table, mapping, 'longitude')];
  const map = lat && lon ? onMap(picked(lat, rows), picked(lon, rows)) : null;
  if (map) channels.set('east', map.east).set('north', map.north);
  if (!channels.has('east')) throw new RecordingProblem(sentence('recording.no-place'));
  const up = fieldInSi(table, mapping, 'up');
  const pressure = fieldInSi(table, mapping, 'pressure');
  if (up) channels.set('up', fromStart(picked(up, rows)));
  else if (pressure) channels.set('up', fromStart(picked(pressure, rows).map(pressureAltitude)));
  const modes = modesOf(table, mapping, rows);
  if (modes) channels.set('mode', modes);
  return { channels, origin: map?.origin ?? null };
}

/**
 * A table as a flight, by what its columns mean.
 * @throws RecordingProblem that says what is missing
 */
export function recordingOf(table: Table, mapping: Mapping): Recording {
  const raw = fieldInSi(table, mapping, 'time');
  if (!raw) throw new RecordingProblem(sentence('recording.no-time'));
  const kind = table.columns[mappedTo(mapping, 'time')!.at]!.kind;
  const { rows, t } = orderedTimes(raw, kind === 'clock');
  if (t.length < FEWEST_LINES)
    throw new RecordingProblem(sentence('recording.few-lines', { least: FEWEST_LINES }));
  const first = t[0]!;
  if (t.at(-1)! - first > LONGEST_S)
    throw new RecordingProblem(sentence('recording.long', { hours: Math.round((t.at(-1)! - first) / 3600) }));
  const { channels, origin } = channelsOf(table, mapping, rows);
  const since = t.map((value) => value - first);
  const usual = medianStep(since);
  return {
    t: since,
    startedAt: kind === 'instant' ? first : null,
    origin,
    channels,
    hz: 1 / usual,
    gaps: gapsOf(since, usual),
  };
}
