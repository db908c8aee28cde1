import { answersOf } from '../evidence/evidence';
import { rank } from '../ranking/rank';

import { type FlightStory, recordStory } from '../second-model/flights';
import { fromTheGround } from '../second-model/from-the-ground';
import { GOOD_FLIGHTS, TROUBLES } from '../second-model/stories';
import { DAY, ofToday } from '../testing/by-day';
import { evidenceAt } from './evidence-at';
import { findEvents } from './events/find-events';
import { MADE_UP_RECORDERS } from './stand-ins/recorders';
import { evidenceOfStory, firstRead, readBack, STORY_FACTS, WRITES_ALL } from './stand-ins/story-read';

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
  const { log } = recordStory(story, { hz: 100, wanderM: 0, leavesOut: [] }, 5);
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

test.each([
  // Over all eight of each: 78, 85, 64 and 79 of 88.
  ['that begins in the air', WRITES_ALL, (story: FlightStory) => story, 0.77],
  ['with take-off and the way there in it', WRITES_ALL, fromTheGround, 0.86],
  [
    'that begins in the air, without speeds, wind and hold',
    MADE_UP_RECORDERS[0]!,
    (story: FlightStory) => story,
    0.63,
  ],
  ['with take-off in it, without speeds, wind and hold', MADE_UP_RECORDERS[0]!, fromTheGround, 0.8],
] as const)(
  `from a file %s the cause of most troubles comes first, though nobody knows what stood there (TEST_DAY ${DAY})`,
  (_, recorder, begins, least) => {
    const right = firstRead(recorder, begins, ofToday([0, 1, 2, 3, 4, 5, 6, 7], 2));
    expect(right.filter(Boolean).length / right.length).toBeGreaterThanOrEqual(least);
  },
  60_000,
);

test('what a take-off or a good flight shows leans to no cause', () => {
  for (const [k, good] of GOOD_FLIGHTS.entries()) {
    const { flight } = readBack(good(k), 40 + k);
    for (const event of findEvents(flight)) {
      const { stance } = rank(answersOf(evidenceAt(flight, event, STORY_FACTS)), STORY_FACTS);
      expect([good(k).name, event.is, stance]).toEqual([good(k).name, event.is, 'not-known']);
    }
  }
});
