import { MEASURES } from '../drills/measures';
import { MEASURED_DRILLS, exerciseOf } from './exercises';
import { MEASURE_FACTS } from './measure-facts';
import { missReasonOf, recordedMeasure } from './recorded';
import type { Score, ScoredValue } from './score';

const value = (of: ScoredValue['of'], at: number): ScoredValue => ({
  of,
  value: at,
  limit: 1,
  isLeast: false,
  ok: at <= 1,
  atS: 2,
});
const score = (
  values: readonly ScoredValue[],
  wrong: Score['wrong'],
): Pick<Score, 'met' | 'wrong' | 'values'> => ({ met: wrong === null, wrong, values });

test('a rep that was met has no reason for a miss; a miss has that of what went wrong first', () => {
  expect(missReasonOf(score([value('off', 0.4)], null))).toBeNull();
  expect(missReasonOf(score([value('height', 3)], { of: 'height', atS: 4 }))).toBe('height');
  expect(missReasonOf(score([], { of: 'crash', atS: 4 }))).toBe('too-late');
  expect(missReasonOf(score([], { of: 'not-finished', atS: 4 }))).toBe('off-the-mark');
});

test('what is written down is the first value in the unit of the drill, and nothing where there is none', () => {
  expect(
    recordedMeasure(
      'tail-in-hover',
      score([value('heading', 9), value('off', 0.7), value('height', 0.2)], null),
    ),
  ).toBe(0.7);
  expect(recordedMeasure('tail-in-hover', score([value('heading', 9)], null))).toBeNull();
  expect(recordedMeasure('power-turn', score([value('off', 0.7)], null))).toBe(
    MEASURES['power-turn'] ? 0.7 : null,
  );
});

test('every standard of every drill has its facts', () => {
  const used = new Set(MEASURED_DRILLS.flatMap((id) => exerciseOf(id)!.standards.map((each) => each.of)));
  expect([...used].filter((of) => MEASURE_FACTS[of] === undefined)).toEqual([]);
});
