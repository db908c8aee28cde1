import { chanceOf, recordStory } from '../../second-model/flights';
import { LESSONS } from '../../second-model/lessons';
import { GOOD_FLIGHTS, TROUBLES } from '../../second-model/stories';
import type { FlightLog } from '../../flight-log/flight-log';
import { guessMapping } from '../mapping/guess';
import { recordingOf } from '../recording';
import { smoothFlight } from '../smoothing/smooth-flight';
import { MADE_UP_RECORDERS, type MadeUpRecorder } from '../stand-ins/recorders';
import { tableOfCsv } from '../stand-ins/read-back';
import { writtenBy } from '../stand-ins/write';
import { foundIn } from '../stand-ins/found';
import { stoppedAfter } from '../stand-ins/stopped-after';
import type { FlightEvent } from './flight-event';
import { findEvents } from './find-events';

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
/** Ten lines a second, places that wander by a metre, everything recorded. */
const TEN_HZ: MadeUpRecorder = { ...MADE_UP_RECORDERS[0]!, driftM: 0 };

const eventsIn = (log: FlightLog, recorder: MadeUpRecorder, seed: number): readonly FlightEvent[] => {
  const table = tableOfCsv(writtenBy(recorder, log, chanceOf(seed).normal) as string);
  return findEvents(smoothFlight(recordingOf(table, guessMapping(table))));
};

test('what truly happened in whole lessons is found at ten lines a second with a metre of wander, and hardly more', () => {
  const all = Array.from({ length: 3 * LESSONS.length }, (_, nth) => {
    const lesson = LESSONS[nth % LESSONS.length]!(nth);
    const { log } = recordStory(lesson.story, EXACT, nth + 9);
    return foundIn(lesson, log, eventsIn(log, TEN_HZ, nth + 70));
  });
  const truly = all.flatMap((each) => each.truly);
  const missed = truly.filter(({ found }) => !found);
  const wrong = all.flatMap((each) => each.wrong);
  expect([missed.length <= 0.1 * truly.length, missed]).toEqual([true, missed]);
  expect([wrong.length <= 0.1 * all.length, wrong]).toEqual([true, wrong]);
});

test('what is flown into a wall or the ground is a hit, at the moment it met it', () => {
  let [found, all] = [0, 0];
  const missed: unknown[] = [];
  for (const [k, trouble] of TROUBLES.entries())
    for (const nth of [0, 1, 2, 3, 4, 5, 6, 7]) {
      const { log, ended, atS } = recordStory(trouble(nth), EXACT, k * 10 + nth);
      if (!ended || ended.speedMps < 2.5) continue;
      // A recorder goes on for a while, with the craft where it fell.
      const still = stoppedAfter(log, 4);
      const hits = eventsIn(still, TEN_HZ, k + 3).filter(({ is }) => is === 'hit');
      all += 1;
      if (hits.some((hit) => Math.abs(hit.atS - atS) < 1)) found += 1;
      else missed.push([trouble(nth).name, nth, atS, ended.how, ended.speedMps, hits]);
    }
  expect(all).toBeGreaterThan(8);
  expect([found / all >= 0.9, missed]).toEqual([true, found === all ? [] : missed]);
});

test('at one line a second, with places that wander and no speeds told, it still took off and landed', () => {
  const watch: MadeUpRecorder = {
    ...TEN_HZ,
    hz: 1,
    wander: { m: 1.2, s: 25 },
    columns: TEN_HZ.columns.filter(({ field }) => ['time', 'latitude', 'longitude', 'up'].includes(field)),
  };
  for (const nth of [0, 1, 2]) {
    const seen = eventsIn(recordStory(LESSONS[nth]!(nth).story, EXACT, 5).log, watch, 40 + nth);
    expect([nth, seen.map(({ is }) => is)]).toEqual([nth, expect.arrayContaining(['take-off', 'landing'])]);
  }
});

test('of good flights none shows a hit, a snap, a swing or a slide', () => {
  const wrong = GOOD_FLIGHTS.flatMap((good, k) =>
    [0, 1, 2, 3, 4, 5].flatMap((nth) =>
      eventsIn(recordStory(good(nth), EXACT, 20 * k + nth).log, TEN_HZ, nth)
        .filter(({ is }) => !['take-off', 'landing', 'ends-in-the-air'].includes(is))
        .map(({ is, atS }) => [good(nth).name, nth, is, atS]),
    ),
  );
  expect(wrong).toEqual([]);
});

/** The same log, and the craft lying where it ended for so long. */
