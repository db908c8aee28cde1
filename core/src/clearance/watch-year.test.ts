import type { DrillId } from '../drills/drills';
import { ofToday } from '../testing/by-day';
import { type SignedPilot, steadily, watchedYear } from '../testing/watch-year';
import { drawFrom } from './evidence/simulated';

/** How long the watch takes, in days, by simulation of signed pilots through the rule itself. */

const PILOTS = 80;
const years = (keyDrills: readonly DrillId[], pilot: () => SignedPilot, seed: number) => {
  const draw = drawFrom(seed);
  return Array.from({ length: PILOTS }, () => watchedYear(keyDrills, pilot(), draw));
};
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

const TAKEN: readonly (readonly [string, readonly DrillId[]])[] = [
  ['one drill', ['tail-in-hover']],
  ['two drills', ['tail-in-hover', 'pad-landing']],
];

test.each(ofToday(TAKEN, 2))(
  'with %s at most one sound pilot in ten is called back in a year',
  (_, keyDrills) => {
    const back = years(keyDrills, () => steadily(0.1), 31).filter(
      ({ calledBackAfter }) => calledBackAfter !== null,
    );
    expect(back.length / PILOTS).toBeLessThanOrEqual(0.1);
  },
  60_000,
);

/**
 * By hand: a 40 % pilot fails a check, two missed before four met, in 1 - 0.6^4 - 4 x 0.4 x 0.6^4 = 66 % of all; with
 * checks 90 days apart half are limited after 45 / 0.66 = 68 days, sooner where checks are still closer.
 */
test('a pilot back at 40 % on any day is limited within about ten weeks, in the middle', () => {
  const draw = drawFrom(34);
  const fallsBack = () => ({ sound: 0.1, fellBack: 0.4, fellBackAfter: Math.floor(draw() * 365) });
  const slipped = years(['tail-in-hover'], fallsBack, 33);
  const after = slipped.map(({ limitedAfter }) => limitedAfter ?? 366);
  expect(median(after)).toBeGreaterThan(30);
  expect(median(after)).toBeLessThan(90);
  expect(slipped.filter(({ calledBackAfter }) => calledBackAfter !== null).length / PILOTS).toBeGreaterThan(
    0.6,
  );
}, 60_000);
