import type { FlightLog } from '../../flight-log/flight-log';
import { QUANTITY_OF, unitOf } from '../mapping/fields';
import type { MadeUpRecorder, WrittenColumn } from './recorders';
import { BEGUN_AT_S, FIELD_PLACE, SeenBy } from './what-is-true';
import { writeULog } from './write-ulog';

/** A file as a made-up recorder writes it. */
export type WrittenFile = string | Uint8Array;

/** In the unit of its column, as SI is told in it. */
export function inUnit({ field, unit, sign = 1 }: WrittenColumn, si: number): number {
  const { factor, middle = 0 } = unitOf(QUANTITY_OF[field], unit) ?? { factor: 1 };
  return (sign * si) / factor + middle;
}

const two = (value: number): string => String(value).padStart(2, '0');

function timeText(recorder: MadeUpRecorder, column: WrittenColumn, t: number): string {
  if (recorder.time === 'instant') return new Date((BEGUN_AT_S + t) * 1000).toISOString();
  if (recorder.time === 'figure') return inUnit(column, t).toFixed(column.decimals);
  const day = (BEGUN_AT_S + t) % 86_400;
  const [hours, minutes] = [Math.floor(day / 3600), Math.floor((day % 3600) / 60)];
  return `${two(hours)}:${two(minutes)}:${(day % 60).toFixed(column.decimals).padStart(6, '0')}`;
}

/** Lines that it writes: so often, and none where it dropped out. */
export function linesOf(log: FlightLog, { hz, dropouts = [] }: MadeUpRecorder): readonly number[] {
  const lines: number[] = [];
  let next = 0;
  for (let i = 0; i < log.length; i += 1) {
    const t = log.columns.t[i]!;
    if (t + 1e-9 < next) continue;
    next += 1 / hz;
    if (!dropouts.some(([from, to]) => t >= from && t < to)) lines.push(i);
  }
  return lines;
}

type Seen = ReturnType<SeenBy['at']>;

function cellText(recorder: MadeUpRecorder, column: WrittenColumn, seen: Seen): string {
  if (column.field === 'time') return timeText(recorder, column, seen.field('time'));
  if (column.field === 'mode') return seen.mode;
  const value = inUnit(column, seen.field(column.field));
  if (!Number.isFinite(value)) return '';
  const text = value.toFixed(column.decimals);
  return recorder.decimalComma ? text.replace('.', ',') : text;
}

function csv(recorder: MadeUpRecorder, seen: readonly Seen[]): string {
  const { columns, delimiter = ',', before = [] } = recorder;
  const rows = seen.map((each) => columns.map((column) => cellText(recorder, column, each)).join(delimiter));
  return `${[...before, columns.map(({ title }) => title).join(delimiter), ...rows].join('\n')}\n`;
}

const placeOf = (seen: Seen) => ({
  lat: seen.field('latitude').toFixed(7),
  lon: seen.field('longitude').toFixed(7),
  ele: (FIELD_PLACE.altitudeM + seen.field('up')).toFixed(1),
  time: new Date((BEGUN_AT_S + seen.field('time')) * 1000).toISOString(),
});

const gpx = (seen: readonly Seen[]): string => `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="A made-up recorder" xmlns="http://www.topografix.com/GPX/1/1">
  <trk><trkseg>
${seen
  .map(placeOf)
  .map(
    ({ lat, lon, ele, time }) =>
      `    <trkpt lat="${lat}" lon="${lon}"><ele>${ele}</ele><time>${time}</time></trkpt>`,
  )
  .join('\n')}
  </trkseg></trk>
</gpx>
`;

const geoJson = (seen: readonly Seen[]): string => {
  const places = seen.map(placeOf);
  return `${JSON.stringify({
    type: 'Feature',
    properties: { name: 'A made-up flight', times: places.map(({ time }) => time) },
    geometry: {
      type: 'LineString',
      coordinates: places.map(({ lat, lon, ele }) => [Number(lon), Number(lat), Number(ele)]),
    },
  })}\n`;
};

/** Writes a true flight down as a recorder would. */
export function writtenBy(recorder: MadeUpRecorder, log: FlightLog, normal: () => number): WrittenFile {
  const sees = new SeenBy(log, recorder, normal);
  const seen = linesOf(log, recorder).map((i) => sees.at(i));
  switch (recorder.format) {
    case 'csv':
      return csv(recorder, seen);
    case 'gpx':
      return gpx(seen);
    case 'geojson':
      return geoJson(seen);
    case 'ulog':
      return writeULog(recorder, seen);
  }
}

/** The ending of its file. */
export const endingOf = ({ format }: MadeUpRecorder): string =>
  ({ csv: 'csv', gpx: 'gpx', geojson: 'geojson', ulog: 'ulg' })[format];
