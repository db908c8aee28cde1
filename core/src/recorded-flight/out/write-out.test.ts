import { chanceOf, recordStory } from '../../second-model/flights';
import { LESSONS } from '../../second-model/lessons';
import { findEvents } from '../events/find-events';
import { readGeoJson } from '../formats/geojson';
import { GpxReader } from '../formats/gpx';
import { guessMapping } from '../mapping/guess';
import { recordingOf } from '../recording';
import { smoothFlight, type SmoothFlight } from '../smoothing/smooth-flight';
import { MADE_UP_RECORDERS } from '../stand-ins/recorders';
import { writtenBy } from '../stand-ins/write';
import type { Table } from '../table/table';
import { writtenOut } from './write-out';

const flightOf = (table: Table): SmoothFlight => smoothFlight(recordingOf(table, guessMapping(table)));
const gpxTable = (text: string): Table => {
  const reader = new GpxReader();
  reader.write(text);
  return reader.done();
};

const recorder = MADE_UP_RECORDERS.find(({ name }) => name === 'tarn-map')!;
const { log } = recordStory(LESSONS[0]!(0).story, { hz: 100, wanderM: 0, leavesOut: [] }, 5);
const flight = flightOf(readGeoJson(writtenBy(recorder, log, chanceOf(4).normal) as string));
const events = findEvents(flight);

/** How far two flights lie apart at most, m, with the clock of both from their beginning. */
function apart(a: SmoothFlight, b: SmoothFlight): number {
  let most = 0;
  for (let i = 0; i < Math.min(a.t.length, b.t.length); i += 10)
    most = Math.max(
      most,
      Math.hypot(
        a.axes.east.place[i]! - b.axes.east.place[i]! - (a.axes.east.place[0]! - b.axes.east.place[0]!),
        a.axes.north.place[i]! - b.axes.north.place[i]! - (a.axes.north.place[0]! - b.axes.north.place[0]!),
        a.axes.up!.place[i]! - b.axes.up!.place[i]! - (a.axes.up!.place[0]! - b.axes.up!.place[0]!),
      ),
    );
  return most;
}

test.each([
  ['gpx', gpxTable],
  ['geojson', readGeoJson],
] as const)(
  'what leaves as %s and comes in again is the same flight, with the same things in it',
  (kind, read) => {
    const again = flightOf(read(writtenOut(flight, events, kind)!));
    expect(again.recording.startedAt).toBe(flight.recording.startedAt);
    expect(apart(flight, again)).toBeLessThan(0.25);
    expect(findEvents(again).map(({ is }) => is)).toEqual(events.map(({ is }) => is));
  },
);

test('events stand in the GeoJSON as points, and a gap parts a GPX track in two', () => {
  const { features } = JSON.parse(writtenOut(flight, events, 'geojson')!) as {
    features: { geometry: { type: string }; properties: { event?: string } }[];
  };
  expect(features.slice(1).map(({ geometry, properties }) => [geometry.type, properties.event])).toEqual(
    events.map(({ is }) => ['Point', is]),
  );
  const watch = MADE_UP_RECORDERS.find(({ name }) => name === 'cairn-watch')!;
  const broken = flightOf(gpxTable(writtenBy(watch, log, chanceOf(4).normal) as string));
  expect(writtenOut(broken, [], 'gpx')!.match(/<trkseg>/g)).toHaveLength(2);
});

test('places that are not on the earth leave as the open log alone', () => {
  const local: SmoothFlight = { ...flight, recording: { ...flight.recording, origin: null } };
  expect([writtenOut(local, [], 'gpx'), writtenOut(local, [], 'geojson')]).toEqual([null, null]);
  expect(writtenOut(local, [], 'csv')).toMatch(
    /^# smoothed from a recorder by Skelby\ntime \[s\],east \[m\]/,
  );
});
