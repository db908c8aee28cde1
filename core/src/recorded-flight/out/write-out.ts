import { flightLogCsv } from '../../flight-log/reading';
import { asFlightLog } from '../as-flight-log';
import type { FlightEvent } from '../events/flight-event';
import type { SmoothFlight } from '../smoothing/smooth-flight';
import { type EarthPoint, onEarth } from './places';
import { unbroken } from '../unbroken';

/** Files that a flight can leave as. */
export type OutKind = 'csv' | 'gpx' | 'geojson';

/** A centimetre on the earth. */
const PLACES = 7;

const point = ({ latDeg, lonDeg, upM, at }: EarthPoint): string => {
  const ele = upM === null ? '' : `<ele>${upM.toFixed(2)}</ele>`;
  const time = at === null ? '' : `<time>${at}</time>`;
  return `<trkpt lat="${latDeg.toFixed(PLACES)}" lon="${lonDeg.toFixed(PLACES)}">${ele}${time}</trkpt>`;
};

/** GPX 1.1; heights are from where the flight began. */
const gpx = (points: readonly EarthPoint[]): string =>
  `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Skelby" xmlns="http://www.topografix.com/GPX/1/1">
<trk>
${unbroken(points)
  .map((some) => `<trkseg>\n${some.map(point).join('\n')}\n</trkseg>`)
  .join('\n')}
</trk>
</gpx>
`;

const position = ({ latDeg, lonDeg, upM }: EarthPoint): readonly number[] => [
  Number(lonDeg.toFixed(PLACES)),
  Number(latDeg.toFixed(PLACES)),
  ...(upM === null ? [] : [Number(upM.toFixed(2))]),
];

/** GeoJSON (RFC 7946): the path with a time for each place, and each event as a point. */
function geoJson(points: readonly EarthPoint[], events: readonly FlightEvent[]): string {
  const nearest = (atS: number) =>
    points.reduce((best, each) => (Math.abs(each.t - atS) < Math.abs(best.t - atS) ? each : best));
  const isTimed = points.every(({ at }) => at !== null);
  return `${JSON.stringify({
    type: 'FeatureCollection',
    features: [
      {
        type: 'Feature',
        properties: { times: points.map(({ at, t }) => (isTimed ? at : t)) },
        geometry: { type: 'LineString', coordinates: points.map(position) },
      },
      ...events.map(({ is, atS, untilS, sure, by }) => ({
        type: 'Feature',
        properties: { event: is, atS, untilS, sure, ...by },
        geometry: { type: 'Point', coordinates: position(nearest(atS)) },
      })),
    ],
  })}\n`;
}

/** A smoothed flight as a file; null where its places are not on the earth and the format asks for that. */
export function writtenOut(
  flight: SmoothFlight,
  events: readonly FlightEvent[],
  kind: OutKind,
): string | null {
  if (kind === 'csv') return flightLogCsv(asFlightLog(flight), ['smoothed from a recorder by Skelby']);
  const points = onEarth(flight);
  if (points === null || points.length === 0) return null;
  return kind === 'gpx' ? gpx(points) : geoJson(points, events);
}
