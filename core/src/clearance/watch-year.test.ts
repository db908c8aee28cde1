import type { DrillId } from '../drills/drills';
import { watchedYear } from '../testing/watch-year';
import { drawFrom } from './evidence/simulated';

/** How long the watch takes, in days, by simulation of signed pilots through the rule itself. */

const PILOTS = 80;
const years = (keyDrills: readonly DrillId[], missRate: number, seed: number) => {
  const draw = drawFrom(seed);
  return Array.from({ length: PILOTS }, () => watchedYear(keyDrills, missRate, draw));
};
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

test.each<[string, readonly DrillId[]]>([
  ['one drill', ['tail-in-hover']],
  ['two drills', ['tail-in-hover', 'pad-landing']],
])(
  'with %s at most one sound pilot in ten is called back in a year',
  (_, keyDrills) => {
    const back = years(keyDrills, 0.1, 31).filter(({ calledBackAfter }) => calledBackAfter !== null);
    expect(back.length / PILOTS).toBeLessThanOrEqual(0.1);
  },
  60_000,
);

test('a pilot back at 40 % is limited within about ten weeks, in the middle', () => {
  const slipped = years(['tail-in-hover'], 0.4, 33);
  const after = slipped.map(({ limitedAfter }) => limitedAfter ?? 366);
  expect(median(after)).toBeGreaterThan(5);
  expect(median(after)).toBeLessThan(80);
  expect(slipped.filter(({ calledBackAfter }) => calledBackAfter !== null).length / PILOTS).toBeGreaterThan(
    0.6,
  );
}, 60_000);
