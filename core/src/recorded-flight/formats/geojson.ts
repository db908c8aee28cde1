import { sentence } from '../../vocabulary/said';
import { RecordingProblem } from '../recording-problem';
import { assertRows } from '../row-limit';
import type { Table } from '../table/table';
import { pointsTable } from './points-table';

/** A position by RFC 7946: longitude, latitude, and perhaps a height. */
type Position = readonly number[];

interface Told {
  readonly places: readonly Position[];
  readonly times: readonly (string | number)[];
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isPosition = (value: unknown): value is Position =>
  Array.isArray(value) && value.length >= 2 && value.every((each) => typeof each === 'number');

/** Where times stand beside a line: common practice, RFC 7946 says nothing of them. */
const timesOf = (properties: unknown): readonly (string | number)[] => {
  if (!isObject(properties)) return [];
  const { coordTimes, times, coordinateProperties } = properties as Readonly<Record<string, unknown>>;
  const nested = isObject(coordinateProperties) ? coordinateProperties['times'] : undefined;
  const found = [coordTimes, times, nested].find(Array.isArray) as unknown[] | undefined;
  return (found ?? []).flat().filter((each) => typeof each === 'string' || typeof each === 'number');
};

function toldBy(feature: Readonly<Record<string, unknown>>): Told | null {
  const { geometry, properties } = feature;
  if (!isObject(geometry)) return null;
  const { type, coordinates } = geometry;
  const lines = type === 'LineString' ? [coordinates] : type === 'MultiLineString' ? coordinates : null;
  if (type === 'Point' && isPosition(coordinates) && isObject(properties)) {
    const { time } = properties;
    return typeof time === 'string' || typeof time === 'number'
      ? { places: [coordinates], times: [time] }
      : null;
  }
  if (!Array.isArray(lines)) return null;
  return { places: (lines as unknown[]).flat().filter(isPosition), times: timesOf(properties) };
}

const MS = 1000;
/** Numbers this large count milliseconds since 1970, not seconds. */
const MILLISECONDS = 1e11;

const secondsOf = (time: string | number): number =>
  typeof time === 'string' ? Date.parse(time) / MS : time > MILLISECONDS ? time / MS : time;

/**
 * A flight in GeoJSON (RFC 7946): lines with a time for each place, or points with a time each.
 * @throws RecordingProblem where it is none
 */
export function readGeoJson(text: string): Table {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    throw new RecordingProblem(sentence('recording.json-broken', { why: error.message.slice(0, 120) }));
  }
  const features = !isObject(parsed) ? [] : Array.isArray(parsed['features']) ? parsed['features'] : [parsed];
  const told = (features as unknown[]).filter(isObject).flatMap((feature) => toldBy(feature) ?? []);
  const timed = told.filter(({ places, times }) => times.length === places.length && places.length > 0);
  if (timed.length === 0)
    throw new RecordingProblem(
      sentence(told.length === 0 ? 'recording.json-no-line' : 'recording.json-no-times'),
    );
  const points = timed.flatMap(({ places, times }) =>
    places.map(([lon, lat, ele = NaN], i) => ({ lat: lat!, lon: lon!, ele, time: secondsOf(times[i]!) })),
  );
  assertRows(points.length);
  return pointsTable(points);
}
