import { LEVELS } from '../vocabulary/training';
import { DRILLS, drillOf, isFlown } from './drills';
import { atLevel, PRACTICE_LEVELS, widthAt } from './levels';

/** Flown drills that are a list or a habit: there is nothing to make easier. */
const AS_THEY_ARE = ['hover-check', 'land-by-reserve'];

test('every flown drill says what each level asks, in words of its own and short enough for a field', () => {
  const without = DRILLS.filter((drill) => isFlown(drill) && !PRACTICE_LEVELS[drill.id]).map(({ id }) => id);
  expect(without.sort()).toEqual(AS_THEY_ARE);
  for (const drill of DRILLS.filter(({ id }) => PRACTICE_LEVELS[id])) {
    const asked = LEVELS.map((level) => atLevel(drill, level, false).asks);
    expect(new Set(asked).size).toBe(4);
    for (const words of asked) {
      expect(words.length).toBeLessThanOrEqual(110);
      expect(words).not.toMatch(/\.$/);
    }
  }
});

test('a standard that the school has changed is said as it is, and only the step is named', () => {
  const own = { ...drillOf('tail-in-hover'), byEye: 'Our own box' };
  expect(atLevel(own, -2, true)).toEqual({
    asks: 'Our own box',
    named: 'two steps easier than the standard',
  });
  expect(atLevel(drillOf('tail-in-hover'), 0, false).asks).toBe(drillOf('tail-in-hover').byEye);
});

test('an opening is wider the easier the level, and never narrower than the last', () => {
  expect(LEVELS.map((level) => widthAt(drillOf('gap-ladder'), level))).toEqual([4, 3, 2.5, 2.5]);
  expect(LEVELS.map((level) => widthAt(drillOf('tail-in-hover'), level))).toEqual([null, null, null, null]);
});
