import { DRILLS } from '@skelby/core/drills/drills';
import { coachingOf } from './coaching';
import { COACHING_WORDS } from './en/coaching';

test('every drill says what usually goes wrong and when to stop, in words short enough to be read in a field', () => {
  expect(Object.keys(COACHING_WORDS).sort()).toEqual(DRILLS.map((drill) => drill.id).sort());
  for (const drill of DRILLS) {
    const { mistakes, stop } = coachingOf(drill.id);
    expect(new Set(mistakes).size).toBe(2);
    for (const mistake of mistakes) {
      expect(mistake).not.toMatch(/[.!]$/);
      expect(mistake.length).toBeLessThanOrEqual(75);
    }
    expect(stop).toMatch(/\.$/);
    expect(stop.length).toBeLessThanOrEqual(110);
  }
});
