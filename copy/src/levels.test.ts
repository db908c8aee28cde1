import { DRILLS, isFlown } from '@skelby/core/drills/drills';
import { LEVELS } from '@skelby/core/vocabulary/training';
import { wordedDrill } from './drills';
import { PRACTICE_LEVELS } from './en/levels';
import { atLevel } from './levels';

/** Flown drills that are a list or a habit: there is nothing to make easier. */
const AS_THEY_ARE = ['hover-check', 'land-by-reserve'];

test('every flown drill says what each level asks, in words of its own and short enough for a field', () => {
  const without = DRILLS.filter((drill) => isFlown(drill) && !PRACTICE_LEVELS[drill.id]).map(({ id }) => id);
  expect(without.sort()).toEqual(AS_THEY_ARE);
  for (const drill of DRILLS.filter(({ id }) => PRACTICE_LEVELS[id])) {
    const asked = LEVELS.map((level) => atLevel(wordedDrill(drill.id), level, false).asks);
    expect(new Set(asked).size).toBe(4);
    for (const words of asked) {
      expect(words.length).toBeLessThanOrEqual(110);
      expect(words).not.toMatch(/\.$/);
    }
  }
});

test('a standard that the school has changed is said as it is, and only the step is named', () => {
  const own = { ...wordedDrill('tail-in-hover'), byEye: 'Our own box' };
  expect(atLevel(own, -2, true)).toEqual({
    asks: 'Our own box',
    named: 'two steps easier than the standard',
  });
  expect(atLevel(wordedDrill('tail-in-hover'), 0, false).asks).toBe(wordedDrill('tail-in-hover').byEye);
});
