import { readFileSync } from 'node:fs';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { craftModel } from '../simulator/craft-model';
import { exerciseOf } from '../assessment/exercises';
import { scoreLog, scoreFlightLog } from '../assessment/score';
import { flyDrill } from '../synthetic-pilot/fly-drill';
import { flightLogCsv, FlightLogReader } from './reading';
import { LOG_COLUMNS } from './flight-log';

const CRAFT = craftModel(craftFacts(USUAL_CRAFT));
const FLOWN = flyDrill(CRAFT, { drillId: 'release-drill', side: null, windMps: 3, seed: 3 });
const CSV = flightLogCsv(FLOWN.track, ['flown in practice']);

/** Every line, split at its commas, in order. */
function read(csv: string) {
  const reader = new FlightLogReader();
  csv.split('\n').forEach((line, i) => reader.row(line.split(','), i + 1));
  return reader.track();
}
const lines = CSV.split('\n');
/** The log with one cell changed. @param row from 1, as an editor counts */
const withCell = (row: number, title: string, value: string): string => {
  const at = lines[1]!.split(',').indexOf(title);
  return lines
    .map((line, i) =>
      i === row - 1
        ? line
            .split(',')
            .map((cell, j) => (j === at ? value : cell))
            .join(',')
        : line,
    )
    .join('\n');
};

test('a flight saved and loaded is the same flight, to a millionth, and is scored the same', () => {
  const back = read(CSV);
  expect(back.length).toBe(FLOWN.track.length);
  for (const column of LOG_COLUMNS)
    back.columns[column].forEach((value, i) => {
      if (Math.abs(value - FLOWN.track.columns[column][i]!) > 1e-6)
        throw new Error(`${column} differs in line ${i}`);
    });
  expect(back.events.map((each) => each.is)).toEqual(FLOWN.track.events.map((each) => each.is));
  const again = scoreFlightLog(back, exerciseOf('release-drill')!, CRAFT, []);
  expect([again.met, again.over]).toEqual([FLOWN.score.met, FLOWN.score.over]);
});

test('the header tells units, and the example in the documentation reads', () => {
  expect(lines[0]).toBe('# flown in practice');
  const documented = /```\n([\s\S]*?)```/.exec(
    readFileSync(`${__dirname}/../../../docs/flight-log.md`, 'utf8'),
  )![1]!;
  expect(read(documented)).toMatchObject({ length: 2, events: [{ is: 'call', t: 0.01 }] });
  expect(lines[1]).toMatch(/^time \[s\],east \[m\],north \[m\],up \[m\],v_east \[m\/s\]/);
});

test.each([
  [
    'a column left out',
    lines
      .map((line) =>
        line
          .split(',')
          .filter((_, i) => i !== 3)
          .join(','),
      )
      .join('\n'),
    /^Line 2: a column is missing: up \[m\]/,
  ],
  [
    'feet in the header',
    CSV.replace('up [m]', 'up [ft]'),
    /^Line 2, column 4 "up \[ft\]": "ft" is not its unit: write "up \[m\]" and give m/,
  ],
  ['no unit at all', CSV.replace('up [m]', 'up'), /the unit is missing/],
  ['a word for a number', withCell(40, 'up [m]', 'high'), /^Line 40, up \[m\]: "high" is not a number/],
  ['NaN', withCell(41, 'v_up [m/s]', 'NaN'), /^Line 41, v_up \[m\/s\]: "NaN" is not a number/],
  ['an empty cell', withCell(42, 'pitch [1]', ''), /^Line 42, pitch \[1\]: it is empty/],
  ['a stick beyond its end', withCell(43, 'roll [1]', '100'), /^Line 43, roll \[1\]: 100 is out of bounds/],
  ['an attitude that is none', withCell(44, 'q_w [1]', '0'), /^Line 44, q_w to q_z: the attitude has length/],
  ['a mode nobody knows', withCell(45, 'mode', 'turbo'), /^Line 45, mode: "turbo" is not known: one of rate/],
  ['time that goes back', withCell(46, 'time [s]', '0.01'), /^Line 46, time \[s\]: time does not go on/],
  [
    'half a second cut out',
    lines.filter((_, i) => i < 60 || i > 110).join('\n'),
    /^Line 61, time \[s\]: 0\.52 s are missing/,
  ],
  [
    'one line in ten',
    lines.filter((_, i) => i < 2 || i % 10 === 0).join('\n'),
    /10 lines a second: a log has 50 to 200/,
  ],
  ['nothing', '', /the file is empty/],
  ['only a header', lines.slice(0, 2).join('\n'), /no lines under the header/],
])('%s is told with line and column', (_, csv, message) => expect(() => read(csv)).toThrow(message));

test('places in feet under a header that says metres are found out by the speeds', () => {
  const feet = {
    ...FLOWN.track,
    columns: {
      ...FLOWN.track.columns,
      x: FLOWN.track.columns.x.map((v) => v * 3.2808),
      y: FLOWN.track.columns.y.map((v) => v * 3.2808),
      z: FLOWN.track.columns.z.map((v) => v * 3.2808),
    },
  };
  expect(() => read(flightLogCsv(feet))).toThrow(/are the places in feet/);
});

test('a rep is found in a longer log', () =>
  expect(scoreLog(FLOWN.track, exerciseOf('release-drill')!, CRAFT, [])[0]).toMatchObject({
    met: FLOWN.score.met,
  }));
