import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { CAUSES } from '@skelby/core/causes/causes';
import { DRILLS } from '@skelby/core/drills/drills';
import { QUESTIONS } from '@skelby/core/evidence/questions';
import { SIGNS } from '@skelby/core/evidence/signs';
import { SUMS } from '@skelby/core/sums/sums';
import { causeWords } from './causes';
import { drillWords } from './drills';
import { SIGN_WORDS } from './en/signs';
import { questionWords, valueWords } from './questions';
import { recordedValueWords } from './recorded-values';
import { figureWords, sumWords } from './sums';

test('letting go is never the answer in a manual mode', () => {
  for (const cause of CAUSES) expect(causeWords(cause.id).respond.manual).not.toMatch(/^Release/);
});

test('every question, and every answer that can be picked, has a name', () => {
  for (const question of QUESTIONS) {
    const words = questionWords(question.id);
    expect(words.ask).toMatch(/\?$/);
    if (question.kind === 'choice')
      expect([question.id, Object.keys(words.values ?? {})]).toEqual([question.id, question.values]);
    else expect(words.values).toBeUndefined();
  }
  // What an earlier version kept is said as it was kept.
  expect(valueWords('phase', 'aerobatics')).toBe('aerobatics');
});

test('every sign is said both ways, and no words are kept for one that is gone', () => {
  expect(Object.keys(SIGN_WORDS).sort()).toEqual(SIGNS.map(({ id }) => id).sort());
});

test('a value that is written down has a name, and a standard with a number in it', () => {
  for (const { id } of DRILLS) {
    expect([id, recordedValueWords(id) !== null]).toEqual([id, RECORDED_VALUES[id] !== undefined]);
    if (!RECORDED_VALUES[id]) continue;
    const { measured, byEye } = drillWords(id);
    expect([id, /\d|touch/.test(`${measured} ${byEye}`)]).toEqual([id, true]);
  }
});

test('a standard that names how long it takes, or how many calls, is not met in less', () => {
  const named = DRILLS.flatMap(({ id, leastS }) => {
    const [, many, unit] = /^(\d+) (s|min|calls)\b/.exec(drillWords(id).byEye) ?? [];
    return many ? [{ id, leastS, asksS: Number(many) * (unit === 'min' ? 60 : 1) }] : [];
  });
  expect(named.length).toBeGreaterThan(6);
  for (const { id, leastS, asksS } of named) expect([id, leastS >= asksS]).toEqual([id, true]);
});

test('the parts of a drill that has some are named', () => {
  for (const { id, stages = 0 } of DRILLS)
    expect([id, drillWords(id).stageNames?.length ?? 0]).toEqual([id, stages]);
});

test('every sum says its formula, source and assumptions, and names its inputs', () => {
  for (const { id, inputs } of SUMS) {
    const words = sumWords(id);
    expect(words.formula && words.source && words.assumes).toBeTruthy();
    expect(Object.keys(words.inputs)).toEqual(inputs.map((input) => input.id));
  }
  expect(() => sumWords('luck')).toThrow('There is no sum "luck".');
  expect(figureWords('fastest-that-stops-in-time')).toBe('Fastest that stops in time');
});
