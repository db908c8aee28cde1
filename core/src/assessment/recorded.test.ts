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

test.each<[string, string, readonly ScoredValue[], number | null]>([
  [
    'a brake that stopped 4 m short missed its mark by 4 m',
    'brake-to-mark',
    [value('overshoot', 0), value('miss', 4)],
    4,
  ],
  [
    'one that ran 1.5 m past it missed by as much',
    'brake-to-mark',
    [value('overshoot', 1.5), value('miss', 0)],
    1.5,
  ],
  [
    'a line flown 0.2 m beside and 1.8 m past its end overshot by 1.8 m',
    'fore-aft-line',
    [value('off', 0.2), value('overshoot', 1.8), value('miss', 0)],
    1.8,
  ],
  [
    'a hover is told by its distance, not by its height',
    'tail-in-hover',
    [value('heading', 9), value('off', 0.7), value('height', 2)],
    0.7,
  ],
  ['where the flight does not tell it, nothing is written', 'tail-in-hover', [value('heading', 9)], null],
  ['a drill without a measure writes nothing', 'power-turn', [value('off', 0.7)], null],
])('%s', (_, drillId, values, written) => {
  expect(recordedMeasure(drillId, score(values, null))).toBe(written);
});

test('what is written down has the unit of its label, and is among what the drill is scored by', () => {
  const all = Object.keys(MEASURE_FACTS) as ScoredValue['of'][];
  for (const [drillId, { unit }] of Object.entries(MEASURES)) {
    const named = all.filter((of) => recordedMeasure(drillId, score([value(of, 1)], null)) !== null);
    for (const of of named) {
      expect([drillId, of, MEASURE_FACTS[of].unit]).toEqual([drillId, of, unit]);
      expect(exerciseOf(drillId)!.standards.map((each) => each.of)).toContain(of);
    }
  }
});

test('every standard of every drill has its facts', () => {
  const used = new Set(MEASURED_DRILLS.flatMap((id) => exerciseOf(id)!.standards.map((each) => each.of)));
  expect([...used].filter((of) => MEASURE_FACTS[of] === undefined)).toEqual([]);
});
