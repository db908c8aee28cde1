import { answersOf } from '../evidence/evidence';
import { rank } from '../ranking/rank';
import { type FlightStory, recordStory } from '../second-model/flights';
import type { Recorder } from '../second-model/recorder';
import { GOOD_FLIGHTS, TROUBLES } from '../second-model/stories';
import { DAY, ofToday } from '../testing/by-day';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { evidenceFrom, readFlight } from './read-flight';

// Flights of a second, simpler model that shares no code with the simulator that the drills are flown on.

const FACTS = craftFacts(USUAL_CRAFT);
/** Four of eight, the others on other days; the bench reads all of them. */
const SOME = ofToday([0, 1, 2, 3, 4, 5, 6, 7], 2);
const usual = (nth: number, leavesOut: Recorder['leavesOut'] = []): Recorder => ({
  hz: [50, 20, 10, 25][nth % 4]!,
  wanderM: [0.1, 0.5, 1][nth % 3]!,
  leavesOut,
});

function readOf(story: FlightStory, recorder: Recorder, seed: number) {
  const { log, atS, ended, solids } = recordStory(story, recorder, seed);
  const from = { track: log, cuts: [], atS, ended, facts: FACTS, solids };
  const evidence = evidenceFrom(from);
  return { evidence, ...readFlight(from), ranking: rank(answersOf(evidence), FACTS) };
}

const firstOf = (story: FlightStory, recorder: Recorder, seed: number): string =>
  readOf(story, recorder, seed).ranking.causes[0]!.id;

const share = (leavesOut: Recorder['leavesOut'], base: number): number => {
  const right = TROUBLES.flatMap((make) =>
    SOME.map((nth) => firstOf(make(nth), usual(nth, leavesOut), base + 7 * nth) === make(nth).cause),
  );
  return right.filter(Boolean).length / right.length;
};

test(`the cause of a recorded flight comes first, also where much was not recorded (TEST_DAY ${DAY})`, () => {
  expect(share([], 500)).toBeGreaterThanOrEqual(0.85);
  expect(share(['sticks', 'wind', 'hold'], 500)).toBeGreaterThanOrEqual(0.65);
}, 60_000);

test.each(['orientation-nose-in', 'orientation-lost', 'uncoordinated-turn'] as const)(
  '%s after steady flight is found in most flights',
  (cause) => {
    const make = TROUBLES.find((each) => each(0).cause === cause)!;
    const found = SOME.filter((nth) => firstOf(make(nth), usual(nth), 900 + nth) === cause);
    expect(found.length / SOME.length).toBeGreaterThanOrEqual(0.75);
  },
);

test.each([
  ['everything recorded', []],
  ['no sticks, wind and hold', ['sticks', 'wind', 'hold']],
  ['only places', ['sticks', 'wind', 'hold', 'attitude', 'battery']],
] as const)('a good flight leans to no cause: %s', (_, leavesOut) => {
  const leaning = GOOD_FLIGHTS.flatMap((make) =>
    SOME.map((nth) => readOf(make(nth), usual(nth, leavesOut), 300 + nth)).filter(
      ({ ranking }) => ranking.stance !== 'not-known',
    ),
  );
  expect(leaning).toEqual([]);
});

test('the beginning of the trouble is found, however long it flew well before', () => {
  const off = TROUBLES.flatMap((make) =>
    SOME.map((nth) => {
      const { onsetS } = readOf(make(nth), usual(nth), 40 + nth);
      return onsetS === null ? Infinity : Math.abs(onsetS - make(nth).goodS);
    }),
  ).sort((a, b) => a - b);
  expect(off[Math.floor(off.length / 2)]).toBeLessThan(1);
});

test.each([1, 2, 3])('at %d lines a second snaps, bursts and first corrections cannot be told', (hz) => {
  for (const make of TROUBLES) {
    const { evidence, cannotTell } = readOf(make(1), { hz, wanderM: 1, leavesOut: [] }, 77);
    for (const id of ['snap', 'yaw_burst', 'first_move'] as const) {
      expect(evidence[id]).toBeUndefined();
      if (Object.keys(evidence).length > 0)
        expect(cannotTell).toContainEqual({ id, because: 'too-few-lines' });
    }
  }
});

test('what was not recorded stays unknown: no calm, no hold, no full pack, no good link', () => {
  for (const make of TROUBLES) {
    const bare = readOf(make(2), { hz: 20, wanderM: 0.3, leavesOut: ['wind', 'hold', 'battery'] }, 5);
    for (const id of [
      'wind_mps',
      'wind_side',
      'position_hold',
      'hold_expected',
      'flight_mode',
      'speed_setting',
      'battery_pct',
      'link',
      'craft_check',
      'precipitation',
      'calibration',
      'view',
    ] as const)
      expect([id, bare.evidence[id]]).toEqual([id, undefined]);
  }
});

test('at 200 lines a second the same is read as at 50', () => {
  for (const make of TROUBLES.slice(0, 2)) {
    const [fast, slow] = [200, 50].map((hz) => readOf(make(0), { hz, wanderM: 0.1, leavesOut: [] }, 9));
    expect(fast!.evidence.first_move).toBe(slow!.evidence.first_move);
    expect(Math.abs(fast!.onsetS! - slow!.onsetS!)).toBeLessThan(0.5);
  }
});

test('each finding has its moment and how sure it is', () => {
  const { findings, onsetS } = readOf(TROUBLES[0]!(0), usual(0), 3);
  expect(findings.length).toBeGreaterThan(8);
  for (const { atS, sure } of findings) {
    expect(atS).toBeGreaterThanOrEqual(0);
    expect(sure).toBeGreaterThan(0);
    expect(sure).toBeLessThanOrEqual(1);
  }
  const move = findings.find(({ id }) => id === 'first_move')!;
  expect(move).toMatchObject({ value: 'opposite' });
  expect(move.atS).toBeGreaterThanOrEqual(onsetS!);
});
