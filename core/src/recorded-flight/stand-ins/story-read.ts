import { answersOf, type Evidence } from '../../evidence/evidence';
import { rank } from '../../ranking/rank';
import { chanceOf, type FlightStory, recordStory } from '../../second-model/flights';
import { TROUBLES } from '../../second-model/stories';
import { craftFacts, USUAL_CRAFT } from '../../vocabulary/craft-facts';
import { evidenceAt } from '../evidence-at';
import { flightEvent } from '../events/flight-event';
import { guessMapping } from '../mapping/guess';
import { recordingOf } from '../recording';
import { smoothFlight } from '../smoothing/smooth-flight';
import { tableOfCsv } from './read-back';
import { MADE_UP_RECORDERS, type MadeUpRecorder, type WrittenColumn } from './recorders';
import { writtenBy } from './write';

/** Stories of the second model as a recorder writes them and as they are read from its file. */

export const STORY_FACTS = craftFacts(USUAL_CRAFT);
const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const more = (title: string, field: WrittenColumn['field'], unit: string): WrittenColumn => ({
  ...{ title, field, unit, decimals: 2 },
});
/** Ten lines a second, a metre of wander, and everything that a recorder can write. */
export const WRITES_ALL: MadeUpRecorder = {
  ...MADE_UP_RECORDERS[0]!,
  driftM: 0,
  columns: [
    ...MADE_UP_RECORDERS[0]!.columns,
    more('v east', 'v_east', 'm/s'),
    more('v north', 'v_north', 'm/s'),
    more('v up', 'v_up', 'm/s'),
    more('wind east', 'wind_east', 'm/s'),
    more('wind north', 'wind_north', 'm/s'),
    more('hold', 'hold', '1'),
  ],
};

/** A story's flight from its file, and what it ended on. */
export function readBack(story: FlightStory, seed: number, recorder = WRITES_ALL) {
  const { log, ended, atS } = recordStory(story, EXACT, seed);
  const table = tableOfCsv(writtenBy(recorder, log, chanceOf(seed).normal) as string);
  return { flight: smoothFlight(recordingOf(table, guessMapping(table))), ended, atS };
}

/** The evidence of a story, from its file, at what it ended on. */
export function evidenceOfStory(story: FlightStory, seed: number, recorder = WRITES_ALL): Evidence {
  const { flight, ended, atS } = readBack(story, seed, recorder);
  const event = flightEvent(ended ? 'hit' : 'slid', Math.min(atS, flight.t.at(-1)!), {
    by: { speedMps: ended?.speedMps ?? 0 },
  });
  return evidenceAt(flight, event, STORY_FACTS);
}

/** Whether the cause comes first, trouble by trouble, from files that begin as told. @param nths which of the eight of each */
export const firstRead = (
  recorder: MadeUpRecorder,
  begins: (story: FlightStory) => FlightStory,
  nths: readonly number[],
): readonly boolean[] =>
  TROUBLES.flatMap((trouble, k) =>
    nths.map((nth) => {
      const evidence = evidenceOfStory(begins(trouble(nth)), 500 + 7 * k + nth, recorder);
      return rank(answersOf(evidence), STORY_FACTS).causes[0]!.id === trouble(nth).cause;
    }),
  );
