import { LET_GO } from '../../second-model/body';
import { chanceOf, recordStory } from '../../second-model/flights';
import { fromTheGround } from '../../second-model/from-the-ground';
import { LESSONS } from '../../second-model/lessons';
import { GOOD_FLIGHTS, TROUBLES } from '../../second-model/stories';
import type { FlightLog } from '../../flight-log/flight-log';
import { FLIGHT_MODES } from '../../vocabulary/flying';
import { guessMapping } from '../mapping/guess';
import { recordingOf } from '../recording';
import { type SmoothFlight, smoothFlight } from '../smoothing/smooth-flight';
import { MADE_UP_RECORDERS, type MadeUpRecorder } from '../stand-ins/recorders';
import { tableOfCsv } from '../stand-ins/read-back';
import { stoppedAfter } from '../stand-ins/stopped-after';
import { writtenBy } from '../stand-ins/write';
import { findEvents } from './find-events';
import { type EventLimits, type FlightEventName, USUAL_LIMITS } from './flight-event';

/** What led to it, and what stands against what is known of the place: against the truth of the second model. */

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };
const BOX: MadeUpRecorder = { ...MADE_UP_RECORDERS[0]!, driftM: 0 };

const smoothed = (log: FlightLog, seed: number, recorder = BOX): SmoothFlight => {
  const table = tableOfCsv(writtenBy(recorder, log, chanceOf(seed).normal) as string);
  return smoothFlight(recordingOf(table, guessMapping(table)));
};
const named = (flight: SmoothFlight, limits: Partial<EventLimits> = {}) =>
  findEvents(flight, { ...USUAL_LIMITS, ...limits });
const has = (flight: SmoothFlight, is: FlightEventName, limits: Partial<EventLimits> = {}) =>
  named(flight, limits).some((event) => event.is === is);

const troubles = TROUBLES.flatMap((trouble, k) =>
  [0, 1, 2, 3].map((nth) => ({
    story: trouble(nth),
    recorded: recordStory(trouble(nth), EXACT, k * 10 + nth),
    whole: recordStory(fromTheGround(trouble(nth)), EXACT, k * 10 + nth),
    k,
  })),
);

test('mirrored corrections before a bad end are told; hands that went the right way hardly ever', () => {
  const of = (isMirrored: boolean) =>
    troubles
      .filter(({ story }) => /^mirrored/.test(story.name) === isMirrored)
      .map(({ whole, k, story }) => [story.name, has(smoothed(whole.log, k + 3), 'reversed')] as const);
  const [mirrored, others] = [of(true), of(false)];
  const wrong = others.filter(([, told]) => told);
  expect(mirrored.filter(([, told]) => told).length).toBeGreaterThanOrEqual(0.6 * mirrored.length);
  expect([wrong.length <= 0.1 * others.length, wrong]).toEqual([true, wrong]);
});

test('who brakes three metres before a wall brakes too late; good flights never do', () => {
  const late = troubles.filter(({ story }) => story.name === 'braked too late');
  const events = late.map(({ recorded, k }) =>
    named(smoothed(stoppedAfter(recorded.log, 4), k + 3)).find(({ is }) => is === 'braked-late'),
  );
  expect(events.filter(Boolean).length).toBeGreaterThanOrEqual(0.75 * late.length);
  for (const event of events) if (event) expect(event.by['roomM']).toBeLessThan(8);
  for (const [k, good] of GOOD_FLIGHTS.entries()) {
    const { log } = recordStory(good(k), EXACT, k);
    const found = named(smoothed(log, k)).map(({ is }) => is);
    expect(found.filter((is) => is === 'braked-late' || is === 'reversed')).toEqual([]);
  }
});

/** A lesson, with a channel as nobody's recorder has told it. */
function lessonWith(field: 'link' | 'mode', value: (t: number) => number): SmoothFlight {
  const flight = smoothed(recordStory(LESSONS[0]!(1).story, EXACT, 5).log, 9);
  const channels = new Map(flight.channels).set(field, flight.t.map(value));
  return { ...flight, channels };
}

test('a link that is lost is told for as long as it was, and what is no share is not taken for one', () => {
  const lost = named(lessonWith('link', (t) => (t > 20 && t < 24 ? 0.02 : 0.8))).filter(
    ({ is }) => is === 'link-lost',
  );
  expect(lost).toMatchObject([
    { atS: expect.closeTo(20, 0) as number, untilS: expect.closeTo(24, 0) as number },
  ]);
  expect(
    has(
      lessonWith('link', () => -60),
      'link-lost',
    ),
  ).toBe(false);
  expect(
    has(
      lessonWith('link', (t) => (t > 20 && t < 20.2 ? 0 : 1)),
      'link-lost',
    ),
  ).toBe(false);
});

test('by itself and on its way under the tallest thing is told where the place is known; over it, or by hand, not', () => {
  const itself = FLIGHT_MODES.indexOf('programmed');
  const flight = lessonWith('mode', (t) => (t > 9 && t < 26 ? itself : 0));
  const [event] = named(flight, { tallestM: 14 }).filter(({ is }) => is === 'low-return');
  expect(event!.by['heightM']).toBeLessThan(14);
  expect(has(flight, 'low-return', { tallestM: 3 })).toBe(false);
  expect(has(flight, 'low-return')).toBe(false);
  expect(
    has(
      lessonWith('mode', () => 0),
      'low-return',
      { tallestM: 14 },
    ),
  ).toBe(false);
});

/** A flight that is brought down where it is, 24 m out. */
const downThere = () => {
  const { story } = LESSONS[0]!(0);
  return recordStory(
    {
      ...story,
      goodS: 30,
      hands: (now) => (now.t < 15 ? story.hands(now) : { ...LET_GO, throttle: -0.5 }),
    },
    EXACT,
    4,
  ).log;
};

test('a landing by itself away from take-off is told; by hand, or at home, not; nor from a file that begins in the air', () => {
  const itself = FLIGHT_MODES.indexOf('programmed');
  const flown = smoothed(downThere(), 6);
  const modes = (of: (t: number) => number): SmoothFlight => ({
    ...flown,
    channels: new Map([...flown.channels, ['mode', flown.t.map(of)]]),
  });
  const landsItself = modes((t) => (t > 15 ? itself : 0));
  const [event] = named(landsItself).filter(({ is }) => is === 'forced-landing');
  expect(event!.by['awayM']).toBeGreaterThan(12);
  expect(
    has(
      modes(() => 0),
      'forced-landing',
    ),
  ).toBe(false);
  expect(
    has(
      lessonWith('mode', (t) => (t > 9 ? itself : 0)),
      'forced-landing',
    ),
  ).toBe(false);
  const late = (() => {
    const log = downThere();
    const columns = Object.fromEntries(
      Object.entries(log.columns).map(([name, values]) => [name, values.subarray(1_200)]),
    ) as unknown as FlightLog['columns'];
    return smoothed({ ...log, length: log.length - 1_200, columns }, 6);
  })();
  const fromTheAir = {
    ...late,
    channels: new Map([...late.channels, ['mode', late.t.map(() => itself)]]),
  } as SmoothFlight;
  expect(has(fromTheAir, 'forced-landing')).toBe(false);
});

test('more wind than it should fly in is told, from its lean too; less is not, whatever the lesson', () => {
  const inWind = (x: number, nth: number) => {
    const { story } = LESSONS[nth]!(nth);
    return smoothed(recordStory({ ...story, weather: { x, y: 0, gusts: 0.5 } }, EXACT, nth + 3).log, nth);
  };
  for (const nth of [0, 1]) {
    expect(has(inWind(6, nth), 'windy', { windMps: 4 })).toBe(true);
    expect(has(inWind(3, nth), 'windy', { windMps: 4 })).toBe(false);
  }
});

test('over the marked line and back is twice, past its end or along it never', () => {
  const flight = smoothed(recordStory(LESSONS[0]!(1).story, EXACT, 5).log, 9);
  // The box goes 24 m north, east, and home.
  const at = (line: EventLimits['line']) =>
    named(flight, { line }).filter(({ is }) => is === 'crossed-line').length;
  expect(
    at([
      { x: -60, y: 12 },
      { x: 60, y: 12 },
    ]),
  ).toBe(2);
  expect(
    at([
      { x: 60, y: 12 },
      { x: 90, y: 12 },
    ]),
  ).toBe(0);
  expect(
    at([
      { x: -60, y: -12 },
      { x: 60, y: -12 },
    ]),
  ).toBe(0);
  expect(at(null)).toBe(0);
});
