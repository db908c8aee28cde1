import type { ValidationError } from 'yup';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { QUESTIONS, questionOf } from './questions';
import { evidenceShape } from '../schemas/evidence';
import { answersOf, type Evidence, quarterOf, readable } from './evidence';
import { SIGNS } from './signs';

const errors = (evidence: unknown): readonly string[] => {
  try {
    evidenceShape.validateSync(evidence, { abortEarly: false });
    return [];
  } catch (error) {
    return (error as ValidationError).errors.map((each) => JSON.stringify(each));
  }
};

test('ids and values are unique, and no choice stands alone', () => {
  expect(new Set(QUESTIONS.map((question) => question.id)).size).toBe(QUESTIONS.length);
  for (const question of QUESTIONS) {
    if (question.kind !== 'choice') {
      expect(question.most).toBeGreaterThan(question.least);
      continue;
    }
    expect(question.values.length).toBeGreaterThan(1);
    expect(new Set(question.values).size).toBe(question.values.length);
  }
});

test('signs are made from questions that there are, under ids of their own', () => {
  for (const sign of SIGNS)
    for (const id of [...sign.needs, ...sign.uses]) expect(() => questionOf(id)).not.toThrow();
  expect(new Set([...SIGNS.map((sign) => sign.id), ...QUESTIONS.map((question) => question.id)]).size).toBe(
    SIGNS.length + QUESTIONS.length,
  );
});

test('nothing known is no sign, and every sign is a chance', () => {
  const craft = craftFacts(USUAL_CRAFT);
  for (const sign of SIGNS) expect(sign.chance({ choices: {}, numbers: {} }, craft)).toBeNull();
});

test('a bearing becomes the quarter it lies in, 0 being away', () => {
  expect([0, 44, 45, 90, 134, 135, 180, 225, 270, 315, 360].map(quarterOf)).toEqual([
    'away',
    'away',
    'right',
    'right',
    'right',
    'toward',
    'toward',
    'left',
    'left',
    'away',
    'away',
  ]);
  expect(answersOf({ nose: 200 }).choices['nose']).toBe('toward');
});

test('a bare number gets the usual uncertainty of a judgement, a measured one its own', () => {
  const { numbers } = answersOf({ speed_mps: 8, seen_at_m: { value: 20, within: 1 }, battery_pct: 30 });
  expect(numbers).toEqual({
    speed_mps: { value: 8, within: 2 },
    seen_at_m: { value: 20, within: 1 },
    battery_pct: { value: 30, within: 3 },
  });
});

test.each([
  [{ speed_mps: '8' }, 'answer.no-number'],
  [{ speed_mps: -1 }, 'answer.outside'],
  [{ speed_mps: Number.NaN }, 'answer.outside'],
  [{ speed_mps: { value: 8, unit: 'km/h' } }, 'answer.other-unit'],
  [{ battery_pct: { value: 300 } }, 'answer.value-outside'],
  [{ seen_at_m: { value: 8, within: -2 } }, 'answer.within-outside'],
  [{ seen_at_m: { value: 8, sigma: 2 } }, 'answer.unknown-part'],
  [{ nose: 'up' }, 'answer.other-nose'],
  [{ nose: 400 }, 'answer.other-nose'],
  [{ phase: 'looping' }, 'answer.other-choice'],
  [{ colour: 'red' }, 'answer.no-question'],
  ['nose toward', 'field.evidence-no-object'],
])('%j is refused by its reason', (evidence, message) => {
  expect(errors(evidence).join(' ')).toContain(message);
});

test('all that is wrong is said at once', () => {
  expect(errors({ speed_mps: 99, phase: 'x', nose: 'y' })).toHaveLength(3);
});

test('what an earlier version kept and nobody can read any more is left out; the rest stays', () => {
  const kept = {
    nose: 190,
    phase: 'turn',
    snap: 'somersault',
    colour: 'red',
    speed_mps: { value: 4, within: 1 },
    height_m: null,
    distance_m: 'far',
  } as unknown as Evidence;
  expect(readable(kept)).toEqual({ nose: 190, phase: 'turn', speed_mps: { value: 4, within: 1 } });
});
