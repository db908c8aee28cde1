import { readFileSync } from 'node:fs';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { craftModel } from '../simulator/craft-model';
import { exerciseOf } from '../assessment/exercises';
import { scoreLog, scoreFlightLog } from '../assessment/score';
import { flyDrill } from '../synthetic-pilot/fly-drill';
import { flightLogCsv, FlightLogError, FlightLogReader } from './reading';
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

/** What is wrong with a log. */
function faultOf(csv: string): FlightLogError {
  try {
    read(csv);
  } catch (error) {
    if (error instanceof FlightLogError) return error;
    throw error;
  }
  throw new Error('It was read.');
}

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
    [2, null, 'log.column-missing'],
  ],
  [
    'feet in the header',
    CSV.replace('up [m]', 'up [ft]'),
    [2, { say: 'log.column-at', with: { number: 4, title: 'up [ft]' } }, 'log.other-unit'],
  ],
  [
    'no unit at all',
    CSV.replace('up [m]', 'up'),
    [2, { say: 'log.column-at', with: { number: 4, title: 'up' } }, 'log.unit-missing'],
  ],
  ['a word for a number', withCell(40, 'up [m]', 'high'), [40, 'up [m]', 'log.no-number']],
  ['NaN', withCell(41, 'v_up [m/s]', 'NaN'), [41, 'v_up [m/s]', 'log.no-number']],
  ['an empty cell', withCell(42, 'pitch [1]', ''), [42, 'pitch [1]', 'log.cell-empty']],
  ['a stick beyond its end', withCell(43, 'roll [1]', '100'), [43, 'roll [1]', 'log.out-of-bounds']],
  [
    'an attitude that is none',
    withCell(44, 'q_w [1]', '0'),
    [44, { say: 'log.columns-of-attitude' }, 'log.no-unit-quaternion'],
  ],
  ['a mode nobody knows', withCell(45, 'mode', 'turbo'), [45, 'mode', 'log.other-word']],
  ['time that goes back', withCell(46, 'time [s]', '0.01'), [46, 'time [s]', 'log.time-stands']],
  [
    'half a second cut out',
    lines.filter((_, i) => i < 60 || i > 110).join('\n'),
    [61, 'time [s]', 'log.gap'],
  ],
  [
    'one line in ten',
    lines.filter((_, i) => i < 2 || i % 10 === 0).join('\n'),
    [null, null, 'log.other-rate'],
  ],
  ['nothing', '', [null, null, 'log.empty']],
  ['only a header', lines.slice(0, 2).join('\n'), [null, null, 'log.no-lines']],
] as const)('%s is told with line and column', (_, csv, [line, column, says]) => {
  expect(faultOf(csv)).toMatchObject({ line, column, said: { say: says } });
});

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
  expect(faultOf(flightLogCsv(feet)).said.say).toBe('log.in-feet');
});

test('a rep is found in a longer log', () =>
  expect(scoreLog(FLOWN.track, exerciseOf('release-drill')!, CRAFT, [])[0]).toMatchObject({
    met: FLOWN.score.met,
  }));
