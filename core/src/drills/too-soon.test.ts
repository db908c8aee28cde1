import { DRILLS, drillOf } from './drills';
import { tooSoon } from './too-soon';

const AT = (s: number) => new Date(Date.UTC(2026, 4, 3, 10, 0, s)).toISOString();

test('a minute of hovering is not over in twelve seconds; after a minute nothing is asked', () => {
  const hover = drillOf('tail-in-hover');
  expect(tooSoon(hover, 0, AT(0), AT(12))).toBe(12);
  expect([null, AT(0), AT(30)].map((last) => tooSoon(hover, 0, last, AT(last === null ? 1 : 90)))).toEqual([
    ...[null, null, null],
  ]);
});

test('an easier level takes less, a harder one no less', () => {
  const hover = drillOf('tail-in-hover');
  expect([-1, 0, 1].map((level) => tooSoon(hover, level as -1 | 0 | 1, AT(0), AT(25)))).toEqual([
    null,
    25,
    25,
  ]);
});

test('a clock that was put back asks nothing', () => {
  expect(tooSoon(drillOf('tail-in-hover'), 0, AT(30), AT(0))).toBeNull();
});

test('every drill has its least time, from a few seconds to a walk round the field', () => {
  for (const { id, leastS } of DRILLS) expect([id, leastS >= 3 && leastS <= 120]).toEqual([id, true]);
});
