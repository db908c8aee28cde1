import type { FlightLog } from '../flight-log/flight-log';
import { chanceOf, recordStory } from '../second-model/flights';
import { LESSONS } from '../second-model/lessons';
import { encodingOf, kindOf } from './formats/recognise';
import { readGeoJson } from './formats/geojson';
import { GpxReader } from './formats/gpx';
import { readULog } from './formats/ulog';
import type { RecordedField } from './mapping/fields';
import { guessMapping } from './mapping/guess';
import { fitsRecipe, mappingBy, recipeOf, recipeShape } from './mapping/recipe';
import { mergedTopics } from './formats/merge-topics';
import { recordingOf } from './recording';
import { smoothFlight } from './smoothing/smooth-flight';
import { MADE_UP_RECORDERS, type MadeUpRecorder, type WrittenColumn } from './stand-ins/recorders';
import { tableOfCsv } from './stand-ins/read-back';
import { linesOf, type WrittenFile, writtenBy } from './stand-ins/write';
import type { Table } from './table/table';

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const truthOf = (nth: number, seed = 5): FlightLog =>
  recordStory(LESSONS[nth % LESSONS.length]!(nth).story, EXACT, seed).log;

async function tableOf(file: WrittenFile): Promise<Table> {
  const bytes = typeof file === 'string' ? new TextEncoder().encode(file) : file;
  const kind = kindOf(bytes.subarray(0, 8_192));
  const text = () => new TextDecoder(encodingOf(bytes.subarray(0, 8_192))).decode(bytes);
  switch (kind) {
    case 'ulog': {
      const { topics } = await readULog({
        size: bytes.length,
        read: (offset, length) => Promise.resolve(bytes.slice(offset, offset + length)),
      });
      return mergedTopics(topics);
    }
    case 'gpx': {
      const reader = new GpxReader();
      reader.write(text());
      return reader.done();
    }
    case 'geojson':
      return readGeoJson(text());
    default:
      return tableOfCsv(text());
  }
}

/** Off the true path, root mean square, m; a constant shift is the satellites' own. */
function offTruth(truth: FlightLog, table: Table, mapping = guessMapping(table)) {
  const flight = smoothFlight(recordingOf(table, mapping));
  const { x, y, z } = truth.columns;
  let [n, ex, ey, ez] = [0, 0, 0, 0];
  const off: [number, number, number][] = [];
  for (let i = 0; i < flight.t.length; i += 5) {
    const at = Math.min(truth.length - 1, Math.round(flight.t[i]! * 100));
    const d: [number, number, number] = [
      flight.axes.east.place[i]! - x[at]!,
      flight.axes.north.place[i]! - y[at]!,
      (flight.axes.up?.place[i] ?? z[at]!) - z[at]!,
    ];
    off.push(d);
    [n, ex, ey, ez] = [n + 1, ex + d[0], ey + d[1], ez + d[2]];
  }
  const spread = (k: 0 | 1 | 2, mean: number) =>
    Math.sqrt(off.reduce((sum, d) => sum + (d[k] - mean) ** 2, 0) / n);
  return {
    flight,
    acrossM: Math.hypot(spread(0, ex / n), spread(1, ey / n)),
    upM: spread(2, ez / n),
  };
}

const meaning = (table: Table) =>
  Object.fromEntries(
    guessMapping(table).columns.map(({ at, field, unit, sign }) => [
      table.columns[at]!.name,
      [field, unit, sign],
    ]),
  );

describe('files of the made-up recorders', () => {
  test.each(MADE_UP_RECORDERS)(
    '$name: recognised, understood, and as good as it was recorded',
    async (recorder) => {
      for (const nth of [0, 1]) {
        const truth = truthOf(nth);
        const table = await tableOf(writtenBy(recorder, truth, chanceOf(nth + 40).normal));
        const { flight, acrossM, upM } = offTruth(truth, table);
        expect(flight.recording.hz).toBeCloseTo(recorder.hz, 0);
        // Satellites are as good as they are: a metre or so of wandering stays.
        const wander = recorder.wander?.m ?? 0;
        expect([recorder.name, acrossM < 0.12 + 1.9 * wander]).toEqual([recorder.name, true]);
        expect([recorder.name, upM < 0.6]).toEqual([recorder.name, true]);
      }
    },
  );
});

/** A recorder that says nothing about its units, in every unit there is. */
const silent = (columns: readonly WrittenColumn[], hz: number): MadeUpRecorder => ({
  ...{ name: 'silent', format: 'csv', hz, time: 'figure', columns },
});
const column = (
  title: string,
  field: RecordedField,
  unit: string,
  decimals = 4,
  sign: 1 | -1 = 1,
): WrittenColumn => ({
  ...{ title, field, unit, decimals, sign },
});

test('units that no header names are found by how columns hang together: every time, speed, height, angle and stick', async () => {
  const truth = truthOf(0);
  const wrong: unknown[] = [];
  for (const hz of [5, 25])
    for (const [time, decimals] of [
      ['s', 3],
      ['ms', 0],
      ['us', 0],
    ] as const)
      for (const speed of ['m/s', 'km/h', 'kn', 'mph', 'ft/s', 'cm/s'])
        for (const [length, climb] of [
          ['m', 'm/s'],
          ['ft', 'ft/s'],
          ['cm', 'm/s'],
        ] as const) {
          const columns = [
            column('time', 'time', time, decimals),
            column('lat', 'latitude', 'deg', 8),
            column('lon', 'longitude', 'deg', 8),
            column('altitude', 'up', length, 2),
            column('climb rate', 'v_up', climb, 3),
            column('ground speed', 'speed', speed, 3),
            column('roll', 'roll', 'rad'),
            column('pitch', 'pitch', 'rad'),
            column('yaw', 'heading', 'rad'),
            column('rc pitch', 'stick_pitch', '1000 to 2000', 0),
          ];
          const table = await tableOf(writtenBy(silent(columns, hz), truth, chanceOf(3).normal));
          const found = meaning(table);
          const told = {
            time,
            speed,
            found: [found['time'], found['ground speed'], found['rc pitch'], found['roll']],
          };
          // Height and climb together may be told in another pair of units that says the same: their ratio is what shows.
          const ok =
            found['time']?.[1] === time &&
            found['ground speed']?.[1] === speed &&
            found['rc pitch']?.[1] === '1000 to 2000' &&
            found['roll']?.[1] === 'rad';
          if (!ok) wrong.push({ hz, length, ...told });
        }
  expect(wrong).toEqual([]);
});

test('a height in feet beside a pressure, and one that counts down beside a climb that counts up', async () => {
  const truth = truthOf(4);
  const columns = [
    column('time', 'time', 's', 2),
    column('x', 'east', 'm'),
    column('y', 'north', 'm'),
    column('height', 'up', 'ft', 1),
    column('v down', 'v_up', 'm/s', 2, -1),
  ];
  const table = await tableOf(writtenBy(silent(columns, 10), truth, chanceOf(3).normal));
  const up = table.columns.find(({ name }) => name === 'height')!.values;
  const pressures = up.map((feet) => 101_325 * (1 - (0.0065 * feet * 0.3048) / 288.15) ** 5.255_88);
  const withPressure: Table = {
    ...table,
    columns: [
      ...table.columns,
      { name: 'baro pressure', unit: null, kind: 'number', words: [], values: pressures },
    ],
  };
  expect(meaning(withPressure)).toMatchObject({ height: ['up', 'ft', 1], 'v down': ['v_up', 'm/s', -1] });
  // Without the pressure the climb says it.
  expect(meaning(table)).toMatchObject({ height: ['up', 'ft', 1], 'v down': ['v_up', 'm/s', -1] });
});

test('angles in degrees, radians and hundredths, quaternions by either convention: the same lean comes out', async () => {
  const truth = truthOf(0);
  const leans: number[] = [];
  for (const [unit, decimals] of [
    ['deg', 3],
    ['rad', 5],
    ['0.01 deg', 0],
  ] as const) {
    const columns = [
      column('time', 'time', 's', 3),
      column('east', 'east', 'm'),
      column('north', 'north', 'm'),
      column('up', 'up', 'm'),
      ...(['roll', 'pitch', 'heading'] as const).map((field) => column(field, field, unit, decimals)),
    ];
    const table = await tableOf(writtenBy(silent(columns, 50), truth, chanceOf(3).normal));
    expect(meaning(table)['roll']).toEqual(['roll', unit, 1]);
    const { flight } = offTruth(truth, table);
    leans.push(Math.max(...flight.channels.get('pitch')!.filter(Number.isFinite)));
  }
  expect(Math.max(...leans) - Math.min(...leans)).toBeLessThan(0.005);
});

test('a mapping kept as a recipe reads the next file of this recorder the same way, and no other', async () => {
  const recorder = MADE_UP_RECORDERS[0]!;
  const [first, next] = await Promise.all(
    [0, 1].map((nth) => tableOf(writtenBy(recorder, truthOf(nth), chanceOf(nth).normal))),
  );
  const recipe = recipeOf('Fell box', first!, guessMapping(first!));
  const kept = JSON.parse(JSON.stringify(recipe)) as typeof recipe;
  await expect(recipeShape.validate(kept)).resolves.toBeTruthy();
  expect(fitsRecipe(next!, kept)).toBe(true);
  const strip = (columns: readonly { field: string; unit: string }[]) =>
    columns.map(({ field, unit }) => [field, unit]);
  expect(strip(mappingBy(kept, next!).columns)).toEqual(strip(guessMapping(first!).columns));
  const other = await tableOf(writtenBy(MADE_UP_RECORDERS[4]!, truthOf(0), chanceOf(1).normal));
  expect(fitsRecipe(other, kept)).toBe(false);
  await expect(
    recipeShape.validate({ ...kept, columns: [{ ...kept.columns[0]!, unit: 'parsec' }] }),
  ).rejects.toThrow();
});

test('a gap stays a gap, and what was held and rounded is not taken for standing still', async () => {
  const watch = MADE_UP_RECORDERS[2]!;
  const truth = truthOf(0);
  const { flight } = offTruth(truth, await tableOf(writtenBy(watch, truth, chanceOf(2).normal)));
  expect(flight.gaps).toEqual([[30, 36]]);
  const card = MADE_UP_RECORDERS[4]!;
  expect(linesOf(truth, card).length).toBeGreaterThan(1_000);
  const held = offTruth(truth, await tableOf(writtenBy(card, truth, chanceOf(2).normal)));
  const speeds = held.flight.axes.north.speed;
  // Along the first leg it goes 4 m/s, steadily: no stop and start at each new place.
  const along = [...speeds.slice(13 * 50, 14.5 * 50)];
  expect(Math.min(...along)).toBeGreaterThan(3);
  expect(Math.max(...along)).toBeLessThan(5);
});
