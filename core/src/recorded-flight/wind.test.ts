import type { DrillId } from '../drills/drills';
import type { FlightLog } from '../flight-log/flight-log';
import { chanceOf, recordStory } from '../second-model/flights';
import { LESSONS } from '../second-model/lessons';
import { craftModel } from '../simulator/craft-model';
import { flyDrill } from '../synthetic-pilot/fly-drill';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { guessMapping } from './mapping/guess';
import { nearestSite } from './nearest-site';
import { recordingOf } from './recording';
import { smoothFlight } from './smoothing/smooth-flight';
import { MADE_UP_RECORDERS, type MadeUpRecorder } from './stand-ins/recorders';
import { tableOfCsv } from './stand-ins/read-back';
import { FIELD_PLACE } from './stand-ins/what-is-true';
import { writtenBy } from './stand-ins/write';
import { type MeanWind, meanWindOf } from './wind';

/** The wind that truly blew in the second model and in the simulator, neither of which the estimate shares code with. */

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const CSV = MADE_UP_RECORDERS.filter(({ format }) => format === 'csv');
const [BOX, LOGGER] = CSV as [MadeUpRecorder, MadeUpRecorder];

const windOf = (log: FlightLog, recorder: MadeUpRecorder, seed: number): MeanWind | null => {
  const table = tableOfCsv(writtenBy(recorder, log, chanceOf(seed).normal) as string);
  return meanWindOf(smoothFlight(recordingOf(table, guessMapping(table))));
};

interface Off {
  readonly m: number;
  readonly within: number;
}
const offBy = (wind: MeanWind, [east, north]: readonly [number, number]): readonly Off[] => [
  { m: wind.eastMps - east, within: wind.sdMps },
  { m: wind.northMps - north, within: wind.sdMps },
];
const rms = (off: readonly Off[]): number =>
  Math.sqrt(off.reduce((sum, { m }) => sum + m * m, 0) / off.length);
const withinTwo = (off: readonly Off[]): number =>
  off.filter(({ m, within }) => Math.abs(m) <= 2 * within).length;

test('by the lean: lessons of the second model in every wind up to 8 m/s, by three recorders', () => {
  const off = CSV.flatMap((recorder) =>
    Array.from({ length: 2 * LESSONS.length }, (_, nth) => {
      const blows = [6 * Math.sin(nth * 2.1), 5 * Math.cos(nth * 1.3)] as const;
      const { story } = LESSONS[nth % LESSONS.length]!(nth);
      const { log } = recordStory(
        { ...story, weather: { x: blows[0], y: blows[1], gusts: 0.6 } },
        EXACT,
        nth + 3,
      );
      return offBy(windOf(log, recorder, nth + 40)!, blows);
    }).flat(),
  );
  expect(rms(off)).toBeLessThan(0.7);
  expect(withinTwo(off)).toBeGreaterThanOrEqual(0.95 * off.length);
});

test('and drills of the simulator, whose drag is another', () => {
  const craft = craftModel(craftFacts(USUAL_CRAFT));
  const drills: readonly (readonly [DrillId, null | 'left' | 'right'])[] = [
    ['crab-leg', 'left'],
    ['crab-leg', 'right'],
    ['tail-in-hover', null],
    ['fore-aft-line', null],
    ['lateral-line', null],
    ['hold-off-hover', null],
  ];
  const off = drills.flatMap(([drillId, side], seed) =>
    [1, 3, 5].flatMap((windMps) => {
      const { track } = flyDrill(craft, { drillId, side, seed, windMps });
      if (track.columns.t[track.length - 1]! < 15) return [];
      const mean = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / values.length;
      const { windX, windY } = track.columns;
      const wind = windOf(track, LOGGER, seed);
      return wind ? offBy(wind, [mean(windX), mean(windY)]) : [];
    }),
  );
  expect(off.length).toBeGreaterThan(20);
  expect(rms(off)).toBeLessThan(1.2);
  expect(withinTwo(off)).toBeGreaterThanOrEqual(0.9 * off.length);
});

test('told by the recorder it is that; without attitude, or on the ground, nobody knows', () => {
  const { story } = LESSONS[0]!(1);
  const { log } = recordStory({ ...story, weather: { x: 3, y: -2, gusts: 0 } }, EXACT, 5);
  const column = (title: string, field: 'wind_east' | 'wind_north') => ({
    title,
    field,
    unit: 'm/s',
    decimals: 1,
  });
  const telling = {
    ...BOX,
    columns: [...BOX.columns, column('wind east', 'wind_east'), column('wind north', 'wind_north')],
  };
  const told = windOf(log, telling, 1)!;
  expect([told.from, told.eastMps, told.northMps]).toEqual([
    'told',
    expect.closeTo(3, 0),
    expect.closeTo(-2, 0),
  ]);
  const without = {
    ...BOX,
    columns: BOX.columns.filter(({ field }) => !['roll', 'pitch', 'heading'].includes(field)),
  };
  expect(windOf(log, without, 1)).toBeNull();
  // The heading alone does not tell the lean: what is worked out of the push holds nothing against the air.
  const heading = { ...BOX, columns: BOX.columns.filter(({ field }) => !['roll', 'pitch'].includes(field)) };
  expect(windOf(log, heading, 1)).toBeNull();
});

test('the nearest known place is where it was flown, and none where none is near or known', () => {
  const at = (id: string, north: number, east: number) => ({
    id,
    latitudeDeg: FIELD_PLACE.latDeg + north,
    longitudeDeg: FIELD_PLACE.lonDeg + east,
  });
  const sites = [
    at('far', 0.2, 0),
    at('strip', 0.002, 0.001),
    at('hut', 0.006, 0),
    { id: 'unknown', latitudeDeg: null },
  ];
  expect(nearestSite(FIELD_PLACE, sites)).toEqual({ id: 'strip', awayM: expect.closeTo(235, -1) as number });
  expect(
    nearestSite(
      FIELD_PLACE,
      sites.filter(({ id }) => id === 'far' || id === 'unknown'),
    ),
  ).toBeNull();
  expect(nearestSite(null, sites)).toBeNull();
});
