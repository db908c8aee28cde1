/** @jest-environment jsdom */
import { flightLogWords } from '@skelby/copy/flight-log';
import type { FlightLogError } from '@skelby/core/flight-log/reading';
import { CENTRED } from '@skelby/core/simulator/control/control';
import { flightLogCsv } from '@skelby/core/flight-log/reading';
import { LOG_COLUMNS, FlightLogWriter } from '@skelby/core/flight-log/flight-log';
import { readLog } from './read-log';

const LINES = 300;
const writer = new FlightLogWriter();
for (let i = 0; i < LINES; i += 1)
  writer.add({
    ...Object.fromEntries(LOG_COLUMNS.map((column) => [column, 0])),
    t: i / 100,
    z: 2,
    qw: 1,
    battery: 1,
    hold: 1,
    ...CENTRED,
  } as never);
const csv = flightLogCsv(writer.track());
const [header, ...rows] = csv.split('\n');
const file = (...parts: readonly string[]) => new File([...parts], 'flight.csv', { type: 'text/csv' });
const MB = 1 << 20;

test('a log longer than one piece is read whole', async () => {
  const remark = `# ${'wind from the corrie '.repeat(40)}\n`;
  const reader = await readLog(file(remark.repeat(3_000), csv));
  expect(reader.track()).toHaveLength(LINES);
});

test('a file of 300 MB is turned away by its size, before any of it is read', async () => {
  const huge = file(csv);
  Object.defineProperty(huge, 'size', { value: 300e6 });
  const wrong = await readLog(huge).catch((error: unknown) => error as FlightLogError);
  expect(flightLogWords(wrong as FlightLogError)).toContain('The file has 300 MB: at most 150.');
});

test.each([
  ['a line without end', [`${header!}\n`, '7'.repeat(5 * MB)], 'Line 2: it has no end within 1 MB'],
  [
    'a quotation mark left open',
    [`${header!}\n${rows[0]!}\n"`, `${rows[1]!}\n`.repeat(90_000)],
    'Line 3: it has no end within 1 MB',
  ],
  ['zeros throughout', ['\0'.repeat(3 * MB)], 'Line 1: it has no end within 1 MB'],
  ['an endless title', [`${'east'.repeat(200_000)} [ft]\n`], 'columns are missing'],
  [
    'a fault far into it',
    [`${csv}${rows[0]!.replace(/^[^,]*/, 'NaN')}\n`],
    `Line ${LINES + 2}, time [s]: "NaN" is not a number`,
  ],
])('%s is told and not choked on', async (_, parts, says) => {
  const told = await readLog(file(...parts)).then(
    () => 'read',
    (error: unknown) => flightLogWords(error as FlightLogError),
  );
  expect(told).toContain(says);
  expect(told.length).toBeLessThan(400);
});
