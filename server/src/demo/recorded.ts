import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { gzipSync } from 'node:zlib';
import { keepFlown } from '@skelby/core/commands/keep-flown';
import { saveFlight } from '@skelby/core/commands/save-records';
import type { Evidence } from '@skelby/core/evidence/evidence';
import { READERS_EDITION } from '@skelby/core/flight-reading/edition';
import type { FlightLog } from '@skelby/core/flight-log/flight-log';
import { evidenceAt } from '@skelby/core/recorded-flight/evidence-at';
import { flownText } from '@skelby/core/recorded-flight/fingerprint';
import { type FlightView, viewOf } from '@skelby/core/recorded-flight/flight-view';
import { guessMapping } from '@skelby/core/recorded-flight/mapping/guess';
import { recordingOf } from '@skelby/core/recorded-flight/recording';
import { smoothFlight } from '@skelby/core/recorded-flight/smoothing/smooth-flight';
import { tableOfCsv } from '@skelby/core/recorded-flight/stand-ins/read-back';
import { MADE_UP_RECORDERS, type MadeUpRecorder } from '@skelby/core/recorded-flight/stand-ins/recorders';
import { stoppedAfter } from '@skelby/core/recorded-flight/stand-ins/stopped-after';
import { writtenBy } from '@skelby/core/recorded-flight/stand-ins/write';
import { chanceOf, recordStory } from '@skelby/core/second-model/flights';
import { LESSONS } from '@skelby/core/second-model/lessons';
import { TROUBLES } from '@skelby/core/second-model/stories';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { keyOfHash } from '@skelby/core/vocabulary/key-of-hash';
import { keepFlightFile } from '../flight-files/flight-files';
import type { SeasonBook } from './season-book';

/** Flights that made-up recorders have written down, among the demo's days, and one crash that is debriefed from its own. */

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const CSV = MADE_UP_RECORDERS.filter(({ format }) => format === 'csv');
/** So many, the last of them this many days ago and one more every so many days before. */
const [FLIGHTS, LAST_AGO, EVERY_DAYS] = [12, 1, 2];
const MOST_BYTES = 100_000_000;
/** The crash that is recorded. */
export const RECORDED_CAUSE = 'obstacle-overrun';
const CRASH = 'braked too late';

const keyBy = (what: string | Buffer): string => keyOfHash(createHash('sha256').update(what).digest());

interface Recorded {
  readonly name: string;
  readonly file: Buffer;
  readonly view: FlightView;
  readonly flight: ReturnType<typeof smoothFlight>;
}

function recorded(log: FlightLog, recorder: MadeUpRecorder, nth: number, name: string): Recorded {
  const text = writtenBy(recorder, log, chanceOf(nth).normal) as string;
  const table = tableOfCsv(text);
  const flight = smoothFlight(recordingOf(table, guessMapping(table)));
  return { name: `${name}.csv`, file: Buffer.from(text), view: viewOf(flight), flight };
}

/** The crash as its recorder has it, and what it answers. */
function recordedCrash(): Recorded & { readonly atS: number; readonly evidence: Evidence } {
  const story = TROUBLES.map((trouble) => trouble(0)).find(({ name }) => name === CRASH)!;
  const { log } = recordStory(story, EXACT, 1);
  const crash = recorded(stoppedAfter(log, 6), CSV[0]!, 1, 'fell-box, the quarry wall');
  const hit = crash.view.events.find(({ is }) => is === 'hit')!;
  return { ...crash, atS: hit.atS, evidence: evidenceAt(crash.flight, hit, craftFacts(USUAL_CRAFT)) };
}

export interface RecordedBy {
  readonly book: SeasonBook;
  readonly pilots: readonly string[];
  readonly craft: readonly string[];
  readonly site: string;
}

async function kept(
  { school }: SeasonBook,
  { file, name }: Recorded,
  of: { readonly pilotId: string; readonly flightId: string | null },
): Promise<string> {
  const id = keyBy(file);
  await keepFlightFile(
    school,
    { id, name, ...of },
    { bytes: file.length, file: Readable.from([gzipSync(file)]), mostBytes: MOST_BYTES },
  );
  return id;
}

/** A dozen lessons, each with its file, spread over pilots and days. */
export async function recordDays({ book, pilots, craft, site }: RecordedBy): Promise<void> {
  for (let nth = 0; nth < FLIGHTS; nth += 1) {
    const { log } = recordStory(LESSONS[nth % LESSONS.length]!(nth).story, EXACT, nth + 20);
    const recorder = CSV[nth % CSV.length]!;
    const flown = recorded(log, recorder, nth + 30, `${recorder.name}-${nth + 1}`);
    const { view } = flown;
    const flightId = keyBy(flownText(view.fingerprint));
    const pilotId = pilots[nth % pilots.length]!;
    const wind = view.wind ? Math.hypot(view.wind.eastMps, view.wind.northMps) : 1;
    await book.carryOut(
      saveFlight,
      { id: flightId },
      {
        ...{ pilotId, craftId: craft[nth % craft.length], siteId: site },
        ...{ day: book.ago(LAST_AGO + EVERY_DAYS * nth), packs: view.packs },
        minutes: Math.max(1, Math.round(view.airborneS / 60)),
        windMps: Math.round(10 * wind) / 10,
        farthestM: view.farthestM,
        highestM: view.highestM,
      },
    );
    await kept(book, flown, { pilotId, flightId });
  }
}

/** Puts the recorded crash beside its entry. */
export async function recordCrash(book: SeasonBook, occurrenceId: string, pilotId: string): Promise<void> {
  const crash = recordedCrash();
  const fileId = await kept(book, crash, { pilotId, flightId: null });
  const { name, atS, evidence } = crash;
  await book.carryOut(
    keepFlown,
    { id: occurrenceId },
    { name, fileId, atS, readers: READERS_EDITION, evidence },
  );
}
