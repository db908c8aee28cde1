import { LEVELS } from '../vocabulary/training';
import { drillOf } from './drills';
import { widthAt } from './levels';

test('an opening is wider the easier the level, and never narrower than the last', () => {
  expect(LEVELS.map((level) => widthAt(drillOf('gap-ladder'), level))).toEqual([4, 3, 2.5, 2.5]);
  expect(LEVELS.map((level) => widthAt(drillOf('tail-in-hover'), level))).toEqual([null, null, null, null]);
});
