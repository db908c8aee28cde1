import fc from 'fast-check';
import { guessMapping } from '../mapping/guess';
import { recordingOf } from '../recording';
import { RecordingProblem } from '../recording-problem';
import { smoothFlight } from '../smoothing/smooth-flight';
import { tableOfCsv } from '../stand-ins/read-back';
import { MADE_UP_RECORDERS } from '../stand-ins/recorders';
import { writeULog } from '../stand-ins/write-ulog';
import type { Table } from '../table/table';
import { readGeoJson } from './geojson';
import { GpxReader } from './gpx';
import { assertSize, encodingOf, kindOf } from './recognise';
import { readULog } from './ulog';

/** Files that are none, cut off, or meant to do harm: each is told in a sentence, none throws anything else or hangs. */

const gpxOf = (text: string): Table => {
  const reader = new GpxReader();
  reader.write(text);
  return reader.done();
};
const ulogOf = (bytes: Uint8Array) =>
  readULog({
    size: bytes.length,
    read: (offset, length) => Promise.resolve(bytes.slice(offset, offset + length)),
  });

function saidOrRead(read: () => Table): void {
  try {
    const table = read();
    smoothFlight(recordingOf(table, guessMapping(table)));
  } catch (error) {
    expect(error).toBeInstanceOf(RecordingProblem);
  }
}

test('any text as CSV, GPX or GeoJSON', () => {
  const cell = fc.oneof(fc.double(), fc.integer(), fc.string(), fc.constant(''), fc.constant('1e999'));
  const rows = fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 40 });
  fc.assert(
    fc.property(fc.string(), rows, (text, cells) => {
      saidOrRead(() => tableOfCsv(text));
      saidOrRead(() => tableOfCsv(`time,lat,lon,alt\n${cells.map((row) => row.join(',')).join('\n')}`));
      saidOrRead(() => gpxOf(text));
      saidOrRead(() => gpxOf(`<gpx><trk><trkseg>${text}</trkseg></trk></gpx>`));
      saidOrRead(() => readGeoJson(text));
    }),
    { numRuns: 300 },
  );
});

test('a GPX whose names stand in a namespace is read like every other', () => {
  const point = (i: number) =>
    `<g:trkpt lat="47.${i}" lon="11"><g:ele>${i}</g:ele><g:time>2026-05-09T09:30:0${i}Z</g:time></g:trkpt>`;
  const text = `<g:gpx xmlns:g="http://www.topografix.com/GPX/1/1"><g:trk><g:trkseg>${[0, 1, 2].map(point).join('')}</g:trkseg></g:trk></g:gpx>`;
  expect(gpxOf(text).columns.map(({ values }) => values[2])).toEqual([
    Date.UTC(2026, 4, 9, 9, 30, 2) / 1000,
    47.2,
    11,
    2,
  ]);
  expect(kindOf(new TextEncoder().encode(text))).toBe('gpx');
});

test('any JSON as GeoJSON', () => {
  fc.assert(
    fc.property(fc.json(), (text) => saidOrRead(() => readGeoJson(text))),
    { numRuns: 300 },
  );
});

test('any bytes behind the magic of ULog, and a whole one cut off anywhere', async () => {
  const recorder = MADE_UP_RECORDERS.find(({ format }) => format === 'ulog')!;
  const seen = Array.from({ length: 30 }, (_, i) => ({ field: () => i * 0.1, mode: '' }));
  const whole = writeULog(recorder, seen);
  const head = whole.subarray(0, 16);
  await fc.assert(
    fc.asyncProperty(fc.uint8Array({ maxLength: 300 }), fc.nat(whole.length), async (noise, cut) => {
      for (const bytes of [Uint8Array.from([...head, ...noise]), whole.slice(0, cut)])
        await ulogOf(bytes).catch((error: unknown) => expect(error).toBeInstanceOf(RecordingProblem));
    }),
    { numRuns: 150 },
  );
  await expect(ulogOf(writeULog(recorder, seen, 2))).rejects.toMatchObject({
    said: { say: 'recording.ulog-flags' },
  });
  expect((await ulogOf(writeULog(recorder, seen, 1))).leftOut).toBe(true);
});

test('a bomb, a billion columns, binary noise, and texts in other encodings', () => {
  const bomb = '<!DOCTYPE a [<!ENTITY b "bbbbbbbb">]><gpx>&b;</gpx>';
  expect(() => gpxOf(bomb)).toThrow(RecordingProblem);
  expect(() => gpxOf(`<gpx>${'<a>'.repeat(10_000)}`)).toThrow(RecordingProblem);
  expect(() => tableOfCsv(`${','.repeat(1_000_000)}\n`)).toThrow(RecordingProblem);
  expect(() => kindOf(Uint8Array.from({ length: 4_000 }, (_, i) => (i * 7_919) % 251))).toThrow(
    RecordingProblem,
  );
  expect(() => assertSize(300_000_000)).toThrow(RecordingProblem);
  const utf16 = (text: string, little: boolean) =>
    Uint8Array.from(
      [...text].flatMap((sign) => (little ? [sign.charCodeAt(0), 0] : [0, sign.charCodeAt(0)])),
    );
  const line = 'time;height\n0;1\n1;2\n'.repeat(20);
  expect([true, false].map((little) => encodingOf(utf16(line, little)))).toEqual(['utf-16le', 'utf-16be']);
  expect(kindOf(utf16(line, true))).toBe('table');
  expect(encodingOf(Uint8Array.from([0x48, 0xf6, 0x68, 0x65, 0x0a]))).toBe('windows-1252');
  // A sign that is cut in two at the end of what was looked at is still UTF-8.
  expect(encodingOf(new TextEncoder().encode('Höhe').subarray(0, 2))).toBe('utf-8');
});
