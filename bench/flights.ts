import { findEvents } from '@skelby/core/recorded-flight/events/find-events';
import type { FlightEvent } from '@skelby/core/recorded-flight/events/flight-event';
import { guessMapping } from '@skelby/core/recorded-flight/mapping/guess';
import { recordingOf } from '@skelby/core/recorded-flight/recording';
import { smoothFlight } from '@skelby/core/recorded-flight/smoothing/smooth-flight';
import { foundIn } from '@skelby/core/recorded-flight/stand-ins/found';
import { tableOfCsv } from '@skelby/core/recorded-flight/stand-ins/read-back';
import { MADE_UP_RECORDERS, type MadeUpRecorder } from '@skelby/core/recorded-flight/stand-ins/recorders';
import { writtenBy } from '@skelby/core/recorded-flight/stand-ins/write';
import type { FlightLog } from '@skelby/core/flight-log/flight-log';
import { firstRead, WRITES_ALL } from '@skelby/core/recorded-flight/stand-ins/story-read';
import { chanceOf, type FlightStory, recordStory } from '@skelby/core/second-model/flights';
import { fromTheGround } from '@skelby/core/second-model/from-the-ground';
import { LESSONS } from '@skelby/core/second-model/lessons';

/** What is found in the files of recorders, and what reading them costs. */

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const EACH = 6;

const recorderOf = (hz: number, wanderM: number): MadeUpRecorder => ({
  ...MADE_UP_RECORDERS[0]!,
  hz,
  driftM: 0,
  wander: { m: wanderM, s: 25 },
});

const eventsOf = (recorder: MadeUpRecorder, log: FlightLog, seed: number): readonly FlightEvent[] => {
  const table = tableOfCsv(writtenBy(recorder, log, chanceOf(seed).normal) as string);
  return findEvents(smoothFlight(recordingOf(table, guessMapping(table))));
};

/** What is found in whole lessons, by a recorder of some pace whose places wander so far. */
function sayFound(hz: number, wanderM: number): readonly [what: string, figure: string] {
  const recorder = recorderOf(hz, wanderM);
  const all = Array.from({ length: EACH * LESSONS.length }, (_, nth) => {
    const lesson = LESSONS[nth % LESSONS.length]!(nth);
    const { log } = recordStory(lesson.story, EXACT, nth + 300);
    return foundIn(lesson, log, eventsOf(recorder, log, nth + 900));
  });
  const truly = all.flatMap((each) => each.truly);
  const share = (some: typeof truly) => `${some.filter(({ found }) => found).length} of ${some.length}`;
  const kinds = [...new Set(truly.map(({ is }) => is))];
  const each = kinds.map((kind) => `${kind} ${share(truly.filter(({ is }) => is === kind))}`);
  const wrong = all.reduce((sum, { wrong: some }) => sum + some.length, 0);
  return [
    `  ${hz} lines a second, ${wanderM} m of wander`,
    `${share(truly)} (${each.join(', ')}); ${wrong} false in ${all.length} flights`,
  ];
}

/** Half an hour of flying at 200 lines a second, as a text. */
function longText(): string {
  const { log } = recordStory(LESSONS[3]!(3).story, EXACT, 1);
  const fast: MadeUpRecorder = { ...recorderOf(200, 1), columns: MADE_UP_RECORDERS[0]!.columns };
  const [header, ...lines] = (writtenBy({ ...fast, hz: 100 }, log, chanceOf(1).normal) as string)
    .trim()
    .split('\n');
  const wanted = 30 * 60 * 200;
  const out = [header!];
  // The same lesson again and again, at double pace of lines.
  for (let i = 0; i < wanted; i += 1) {
    const line = lines[(i >> 1) % lines.length]!;
    out.push(`${i * 5}${line.slice(line.indexOf(','))}`);
  }
  return out.join('\n');
}

/** Of how many troubles the cause comes first, read from the file of a recorder. */
function sayCauses(
  what: string,
  recorder: MadeUpRecorder,
  begins: (story: FlightStory) => FlightStory,
): readonly [what: string, figure: string] {
  const right = firstRead(recorder, begins, [0, 1, 2, 3, 4, 5, 6, 7]);
  return [`  cause first ${what}`, `${right.filter(Boolean).length} of ${right.length}`];
}

interface Cost {
  readonly readS: number;
  readonly smoothS: number;
  readonly searchedS: number;
  readonly megabytes: number;
}

function costOf(text: string): Cost {
  const began = performance.now();
  const table = tableOfCsv(text);
  const read = performance.now();
  const flight = smoothFlight(recordingOf(table, guessMapping(table)));
  const smooth = performance.now();
  findEvents(flight);
  const searched = performance.now();
  return {
    readS: (read - began) / 1000,
    smoothS: (smooth - read) / 1000,
    searchedS: (searched - smooth) / 1000,
    megabytes: process.memoryUsage().heapUsed / 1e6,
  };
}

/** In words, a line each: what, and the figure. */
export function sayFlights(): readonly (readonly [what: string, figure: string])[] {
  const lines: (readonly [string, string])[] = [['Recorded flights', '']];
  for (const hz of [1, 5, 10, 25]) for (const wanderM of [0.3, 1, 2]) lines.push(sayFound(hz, wanderM));
  const few = MADE_UP_RECORDERS[0]!;
  for (const [which, recorder] of [
    ['all columns (aim: 85 %)', WRITES_ALL],
    ['without speeds, wind and hold (aim: 65 %)', few],
  ] as const) {
    lines.push(sayCauses(`from the air on, ${which}`, recorder, (story) => story));
    lines.push(sayCauses(`from take-off on, ${which}`, recorder, fromTheGround));
  }
  const { readS, smoothS, searchedS, megabytes } = costOf(longText());
  lines.push([
    '  30 minutes at 200 Hz: read, smoothed, searched (aim: 3 s in all)',
    `${readS.toFixed(1)}, ${smoothS.toFixed(1)}, ${searchedS.toFixed(1)} s; ${megabytes.toFixed(0)} MB of heap`,
  ]);
  return lines;
}
