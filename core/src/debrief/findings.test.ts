import type { ValidationError } from 'yup';
import { answersOf } from '../evidence/evidence';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { fromSi, inUnits, sayQuantity, toSi } from '../vocabulary/units';
import { NO_EXPERIENCE } from '../ranking/experience';
import { changesBy, countLessons, lessonOf, withLesson } from '../ranking/learn';
import { modelWith } from '../ranking/model';
import { rank } from '../ranking/rank';
import { findingsShape } from '../schemas/debrief';
import { chainProblem, firstBreakable, proposeChain, withPrimary } from './chain';
import { missingToClose, NO_FINDINGS, teaches } from './findings';
import { isAtLeast, RECURRENCE_CLASSES, RISKS, riskOf, SEVERITIES } from './severity';

const CRAFT = craftFacts(USUAL_CRAFT);

describe('the chain', () => {
  const known = answersOf({
    attention: 'talked-to',
    nose: 'toward',
    first_move: 'opposite',
    correction_effect: 'grew',
    obstacle_kind: 'thin',
    phase: 'landing',
  });
  const proposed = proposeChain(known, 'orientation-nose-in', ['distraction', 'overcontrol'], 'crash');
  const chain = proposed.map(({ said, ...link }) => ({ ...link, words: said.say }));

  test('runs from what was so beforehand to the outcome, and the primary cause is what training breaks first', () => {
    expect(proposed.map(({ said }) => said)).toEqual([
      { say: 'chain.answer', with: { question: 'attention', value: 'talked-to' } },
      { say: 'chain.cause', with: { cause: 'distraction' } },
      { say: 'chain.cause', with: { cause: 'orientation-nose-in' } },
      { say: 'chain.cause', with: { cause: 'overcontrol' } },
      { say: 'chain.answer', with: { question: 'first_move', value: 'opposite' } },
      { say: 'chain.answer', with: { question: 'correction_effect', value: 'grew' } },
      { say: 'chain.crash-with', with: { what: 'thin' } },
    ]);
    expect(chain[firstBreakable(chain)]!.causeId).toBe('orientation-nose-in');
    expect(chainProblem(chain, 'orientation-nose-in')).toBeNull();
  });

  test('another primary cause takes its place in the chain, and what the trainer wrote stays', () => {
    const written = chain.map((link, i) => (i === 0 ? { ...link, words: 'A walker asked the way' } : link));
    const moved = withPrimary(written, 'orientation-nose-in', 'wrong-stick', 'Wrong stick');
    expect(moved.map((link) => link.words)).toEqual([
      'A walker asked the way',
      'chain.cause',
      'Wrong stick',
      'chain.cause',
      'chain.answer',
      'chain.answer',
      'chain.crash-with',
    ]);
    expect(chainProblem(moved, 'wrong-stick')).toBeNull();
    const there = withPrimary(written, 'orientation-nose-in', 'overcontrol', 'Over-control');
    expect(there.map((link) => link.causeId)).toEqual(written.map((link) => link.causeId));
    expect(chainProblem(there, 'overcontrol')).toBeNull();
  });

  test('an earlier link that training can break has to be the primary cause', () => {
    const marked = chain.map((link) =>
      link.causeId === 'distraction' ? { ...link, breakable: true } : link,
    );
    expect(chainProblem(marked, 'orientation-nose-in')).toEqual({
      say: 'chain.first-is-not-primary',
      with: { cause: 'distraction' },
    });
    expect(
      chainProblem(
        chain.map((link) => ({ ...link, breakable: false })),
        'orientation-nose-in',
      ),
    ).toEqual({ say: 'chain.none-breakable' });
  });
});

describe('severity by likelihood (ICAO Doc 9859)', () => {
  test('neither more severe nor likelier is ever less of a risk', () => {
    const rank = (severity: number, likelihood: number) =>
      RISKS.indexOf(riskOf(SEVERITIES[severity]!, RECURRENCE_CLASSES[likelihood]!));
    SEVERITIES.forEach((_, s) =>
      RECURRENCE_CLASSES.forEach((__, l) => {
        if (s > 0) expect(rank(s, l)).toBeGreaterThanOrEqual(rank(s - 1, l));
        if (l > 0) expect(rank(s, l)).toBeGreaterThanOrEqual(rank(s, l - 1));
      }),
    );
    expect(riskOf('catastrophic', 'rare')).toBe('high');
    expect(isAtLeast('minor', 'major')).toBe(false);
  });
});

describe('closing', () => {
  const done = { ...NO_FINDINGS, primary: 'overcontrol', actual: 'minor', injury: 'none' } as const;
  test('says all that is missing, and nothing once it is there', () => {
    expect(missingToClose(NO_FINDINGS, null).map((each) => each.field)).toEqual([
      'primary',
      'actual',
      'injury',
    ]);
    expect(missingToClose(done, 'overcontrol')).toEqual([]);
  });

  test('deciding against the ranking asks why; where the ranking does not know there is nothing to overrule', () => {
    expect(missingToClose(done, 'wildlife').map((each) => each.field)).toEqual(['overruleReason']);
    expect(missingToClose({ ...done, overruleReason: 'I stood beside it.' }, 'wildlife')).toEqual([]);
    expect(missingToClose(done, null)).toEqual([]);
  });

  test('what it could have come to is not less than what it came to', () => {
    expect(missingToClose({ ...done, actual: 'major', potential: 'minor' }, null)[0]!.said.say).toBe(
      'findings.potential-less',
    );
  });

  test('findings are checked field by field', () => {
    const errors = (findings: object): readonly string[] => {
      try {
        findingsShape.validateSync(findings, { abortEarly: false });
        return [];
      } catch (error) {
        return (error as ValidationError).errors.map((each) => JSON.stringify(each));
      }
    };
    expect(errors(NO_FINDINGS)).toEqual([]);
    expect(
      errors({
        ...NO_FINDINGS,
        evidence: { speed_mps: -3 },
        injury: 'bruise',
        chain: [{ words: '', causeId: null, breakable: true }],
        primary: 'tree',
      }),
    ).toEqual([
      expect.stringContaining('answer.outside'),
      expect.stringContaining('"field.no-cause-nor-null","with":{"label":"primary-cause"}'),
      expect.stringContaining('"values":["none","first-aid","medical"]'),
      expect.stringContaining('"field.empty","with":{"label":"link"}'),
    ]);
  });
});

describe('learning', () => {
  test('own picks that stood and overrulings teach; going along does not', () => {
    expect(teaches({ primary: 'wildlife', ownPick: 'wildlife' }, 'wildlife')).toBe(true);
    expect(teaches({ primary: 'wildlife', ownPick: null }, 'overcontrol')).toBe(true);
    expect(teaches({ primary: 'wildlife', ownPick: 'overcontrol' }, 'wildlife')).toBe(false);
    expect(teaches({ primary: null, ownPick: null }, 'wildlife')).toBe(false);
  });

  const lesson = {
    cause: 'gap-clip',
    known: answersOf({ place: 'water', feeling: 'calm', gap_ratio: 2 }),
    craft: CRAFT,
  };
  test('counts add up in any order, and move the ranking toward what was confirmed', () => {
    const other = { ...lesson, cause: 'wildlife' };
    expect(countLessons([lesson, other, lesson])).toEqual(countLessons([other, lesson, lesson]));
    expect(withLesson(countLessons([lesson, other]), lessonOf(other), -1)).toEqual(countLessons([lesson]));
    expect(withLesson(countLessons([lesson]), lessonOf(lesson), -1)).toEqual(NO_EXPERIENCE);
    const own = modelWith(countLessons(Array.from({ length: 30 }, () => lesson)));
    const chance = (model: typeof own) =>
      rank(answersOf({ place: 'water', feeling: 'calm' }), CRAFT, model).causes.find(
        (cause) => cause.id === 'gap-clip',
      )!.probability;
    expect(chance(own)).toBeGreaterThan(5 * chance(modelWith()));
  });

  test('what changed is listed with counts, and nothing has changed without any', () => {
    expect(changesBy(countLessons([]))).toEqual([]);
    const [change] = changesBy(countLessons([lesson, lesson]));
    expect(change).toMatchObject({ causeId: 'gap-clip', count: 2 });
    expect(change!.to).toBeGreaterThan(change!.from);
    expect(change!.answers.find((each) => each.question === 'place')).toMatchObject({
      value: 'water',
      count: 2,
    });
  });
});

describe('units', () => {
  test('a foot is 0.3048 m, a knot 1852 m/h, a mile 1609.344 m: exact by definition', () => {
    const units = { length: 'ft', speed: 'kn' } as const;
    expect(toSi(100, 'm', units)).toBeCloseTo(30.48, 12);
    expect(fromSi(1852 / 3600, 'm/s', units)).toBeCloseTo(1, 12);
    expect(toSi(60, 'm/s', { length: 'm', speed: 'mph' })).toBeCloseTo(26.8224, 9);
    expect(toSi(36, 'm/s', { length: 'm', speed: 'km/h' })).toBeCloseTo(10, 12);
    expect(fromSi(25, '%', units)).toBe(25);
  });

  test("a sentence is said in the school's units", () => {
    expect(inUnits('It needed {m:30.48} at {v:10}.', { length: 'ft', speed: 'km/h' })).toBe(
      'It needed 100\u00a0ft at 36\u00a0km/h.',
    );
    expect(sayQuantity(3.14, 'm', { length: 'm', speed: 'm/s' })).toBe('3.1\u00a0m');
  });
});
