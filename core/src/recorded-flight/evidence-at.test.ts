import { answersOf } from '../evidence/evidence';
import { rank } from '../ranking/rank';
import { chanceOf, recordStory } from '../second-model/flights';
import { GOOD_FLIGHTS, TROUBLES } from '../second-model/stories';
import { DAY, ofToday } from '../testing/by-day';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { evidenceAt } from './evidence-at';
import { flightEvent } from './events/flight-event';
import { findEvents } from './events/find-events';
import { guessMapping } from './mapping/guess';
import { recordingOf } from './recording';
import { smoothFlight } from './smoothing/smooth-flight';
import { tableOfCsv } from './stand-ins/read-back';
import { MADE_UP_RECORDERS, type MadeUpRecorder, type WrittenColumn } from './stand-ins/recorders';
import { writtenBy } from './stand-ins/write';
import type { FlightStory } from '../second-model/flights';

const FACTS = craftFacts(USUAL_CRAFT);
const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const more = (title: string, field: WrittenColumn['field'], unit: string): WrittenColumn => ({
  ...{ title, field, unit, decimals: 2 },
});
/** Ten lines a second, a metre of wander, and everything that a recorder can write. */
const ALL: MadeUpRecorder = {
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

function recorded(story: FlightStory, seed: number) {
  const { log, ended, atS } = recordStory(story, EXACT, seed);
  const table = tableOfCsv(writtenBy(ALL, log, chanceOf(seed).normal) as string);
  return { flight: smoothFlight(recordingOf(table, guessMapping(table))), ended, atS };
}

test(`from the file of a recorder the cause of most troubles comes first, though nobody knows what stood there (TEST_DAY ${DAY})`, () => {
  const some = ofToday([0, 1, 2, 3, 4, 5, 6, 7], 2);
  let [right, all] = [0, 0];
  for (const [k, trouble] of TROUBLES.entries())
    for (const nth of some) {
      const story = trouble(nth);
      const { flight, ended, atS } = recorded(story, 500 + 7 * k + nth);
      const event = flightEvent(ended ? 'hit' : 'slid', Math.min(atS, flight.t.at(-1)!), {
        by: { speedMps: ended?.speedMps ?? 0 },
      });
      const [first] = rank(answersOf(evidenceAt(flight, event, FACTS)), FACTS).causes;
      all += 1;
      if (first!.id === story.cause) right += 1;
    }
  // 70 of 88 over all eight of each.
  expect(right / all).toBeGreaterThanOrEqual(0.68);
}, 60_000);

test('what a take-off or a good flight shows leans to no cause', () => {
  for (const [k, good] of GOOD_FLIGHTS.entries()) {
    const { flight } = recorded(good(k), 40 + k);
    for (const event of findEvents(flight)) {
      const { stance } = rank(answersOf(evidenceAt(flight, event, FACTS)), FACTS);
      expect([good(k).name, event.is, stance]).toEqual([good(k).name, event.is, 'not-known']);
    }
  }
});
