import { answersOf } from '../evidence/evidence';
import { rank } from '../ranking/rank';
import { chanceOf, recordStory } from '../second-model/flights';
import { fromTheGround } from '../second-model/from-the-ground';
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

/** The evidence of a story, from its file, at what it ended on. */
function evidenceOfStory(story: FlightStory, seed: number) {
  const { flight, ended, atS } = recorded(story, seed);
  const event = flightEvent(ended ? 'hit' : 'slid', Math.min(atS, flight.t.at(-1)!), {
    by: { speedMps: ended?.speedMps ?? 0 },
  });
  return evidenceAt(flight, event, FACTS);
}

const storyOf = (name: string, nth = 1) =>
  TROUBLES.map((trouble) => trouble(nth)).find((story) => story.name === name)!;

test('a file that begins in the air tells neither how high it was nor how far from its pilot, nor which way the nose was seen', () => {
  for (const [k, trouble] of TROUBLES.entries()) {
    const answered = Object.keys(evidenceOfStory(trouble(2), 700 + k));
    expect([
      trouble(2).name,
      answered.filter((id) => ['height_m', 'distance_m', 'nose'].includes(id)),
    ]).toEqual([trouble(2).name, trouble(2).cause === 'orientation-lost' ? expect.any(Array) : []]);
  }
});

test('the same with its take-off in it tells all three', () => {
  const story = fromTheGround(storyOf('braked too late'));
  const { log } = recordStory(story, EXACT, 5);
  const evidence = evidenceOfStory(story, 5);
  const last = log.length - 1;
  const { x, y, z } = log.columns;
  expect(evidence['height_m']).toBeCloseTo(z[last]!, 0);
  expect(Math.abs(Number(evidence['distance_m']) - Math.hypot(x[last]!, y[last]!))).toBeLessThan(3);
  expect(evidence['nose']).toBeDefined();
});

test('what it met up there is not the ground: it lies where the craft was going, and what it is nobody knows', () => {
  for (const [name, side] of [
    ['backed into what nobody looked at', 'behind'],
    ['braked too late', 'ahead'],
  ] as const)
    for (const whole of [false, true]) {
      const story = whole ? fromTheGround(storyOf(name)) : storyOf(name);
      const evidence = evidenceOfStory(story, 11);
      expect([name, whole, evidence['obstacle_side'], evidence['obstacle_kind']]).toEqual([
        name,
        whole,
        side,
        undefined,
      ]);
    }
});

test(`from the file of a recorder the cause of most troubles comes first, though nobody knows what stood there (TEST_DAY ${DAY})`, () => {
  const some = ofToday([0, 1, 2, 3, 4, 5, 6, 7], 2);
  let [right, all] = [0, 0];
  for (const [k, trouble] of TROUBLES.entries())
    for (const nth of some) {
      const story = trouble(nth);
      const evidence = evidenceOfStory(story, 500 + 7 * k + nth);
      const [first] = rank(answersOf(evidence), FACTS).causes;
      all += 1;
      if (first!.id === story.cause) right += 1;
    }
  // 78 of 88 over all eight of each.
  expect(right / all).toBeGreaterThanOrEqual(0.77);
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
