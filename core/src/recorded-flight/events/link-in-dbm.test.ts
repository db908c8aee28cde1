import { chanceOf, recordStory } from '../../second-model/flights';
import { LESSONS } from '../../second-model/lessons';
import { guessMapping } from '../mapping/guess';
import { recordingOf } from '../recording';
import { smoothFlight } from '../smoothing/smooth-flight';
import { MADE_UP_RECORDERS } from '../stand-ins/recorders';
import { tableOfCsv } from '../stand-ins/read-back';
import { writtenBy } from '../stand-ins/write';
import { findEvents } from './find-events';

// Received power in dBm, from memory: strong is about −50, at −100 there is no link.

const { log } = recordStory(LESSONS[0]!(0).story, { hz: 100, wanderM: 0, leavesOut: [] }, 9);
const recorder = { ...MADE_UP_RECORDERS[0]!, driftM: 0 };
const lines = (writtenBy(recorder, log, chanceOf(7).normal) as string).trim().split('\n');
const halfway = Math.floor(lines.length / 2);
/** Seconds of it, ten lines each. */
const LOST_S = 4;

/** The flight with one column more. @param told of the line, whether the link is lost there */
const withColumn = (header: string, told: (isLost: boolean, nth: number) => string) =>
  lines
    .map((line, i) =>
      i === 0
        ? `${line},${header}`
        : `${line},${told(i >= halfway && i < halfway + LOST_S * recorder.hz, i)}`,
    )
    .join('\n');

function lostIn(text: string) {
  const table = tableOfCsv(text);
  const mapping = guessMapping(table);
  const link = mapping.columns.find(({ field }) => field === 'link');
  const lost = findEvents(smoothFlight(recordingOf(table, mapping))).filter(({ is }) => is === 'link-lost');
  return { unit: link?.unit, lost };
}

test.each([
  ['radio rssi [dBm]', (isLost: boolean, nth: number) => String(isLost ? -104 : -46 - (nth % 9))],
  ['radio rssi', (isLost: boolean, nth: number) => String(isLost ? -104 : -62 - (nth % 9))],
])('a link that is told as "%s" is lost once, where it was', (header, told) => {
  const { unit, lost } = lostIn(withColumn(header, told));
  expect(unit).toBe('dBm');
  expect(lost).toHaveLength(1);
  const { atS, untilS } = lost[0]!;
  expect(Math.abs(atS - (halfway - 1) / recorder.hz)).toBeLessThan(1);
  expect(untilS! - atS).toBeCloseTo(LOST_S, 0);
});

test('a weak link is no lost one', () => {
  expect(lostIn(withColumn('radio rssi [dBm]', () => '-88')).lost).toEqual([]);
});
