import { MISS_REASONS } from '../clearance/facts';
import { drillOf } from './drills';
import { DRILLS_FOR_MISTAKES, mostOften } from './for-mistakes';

test('every mistake has two drills that are there, neither of them twice', () => {
  for (const reason of MISS_REASONS) {
    const [first, second] = DRILLS_FOR_MISTAKES[reason];
    expect(first).not.toBe(second);
    for (const id of [first, second]) expect(drillOf(id).id).toBe(id);
  }
});

test('the mistake that was made most often, the later of two that were as often', () => {
  expect(mostOften([])).toBeNull();
  expect(mostOften(['nose'])).toBe('nose');
  expect(mostOften(['nose', 'height', 'nose', 'too-late'])).toBe('nose');
  expect(mostOften(['nose', 'height', 'too-late', 'height', 'nose'])).toBe('nose');
});
