import type { Evidence } from '../evidence/evidence';
import { NOTHING } from '../evidence/question';
import { questionOf } from '../evidence/questions';
import { craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { ofToday } from '../testing/by-day';
import { type Case, CASES } from './cases';
import { TOLD_CASES } from './cases-told';
import { MISS_REASONS } from '../clearance/facts';
import { askedOf, mentionedIn, MENTIONS, QUESTIONS_OF_MISTAKES } from './mentions';
import { rank } from './rank';
import { questionsUntilRight } from './until-right';

const CRAFT = craftFacts(USUAL_CRAFT);
/** A third of the cases, another one every day; the bench asks of all of them. */
const SOME = ofToday([...CASES, ...TOLD_CASES], 3);

test('every mention opens questions there are, and calls ordinary only answers there are', () => {
  for (const { id, asks } of MENTIONS)
    for (const [questionId, ordinary] of Object.entries(asks)) {
      const question = questionOf(questionId);
      expect([id, question.kind]).toEqual([id, 'choice']);
      const values = question.kind === 'choice' ? question.values : [];
      expect([id, values]).toEqual([id, expect.arrayContaining([...ordinary])]);
      expect([id, values.length > ordinary.length]).toEqual([id, true]);
    }
});

test('a mistake that was seen opens its questions first, and is no answer', () => {
  const plain = rank(NOTHING, CRAFT);
  for (const seen of MISS_REASONS) {
    const { causes, nextQuestions } = rank(NOTHING, CRAFT, undefined, [seen]);
    expect([seen, causes.map(({ probability }) => probability)]).toEqual([
      seen,
      plain.causes.map(({ probability }) => probability),
    ]);
    const asks: readonly string[] = QUESTIONS_OF_MISTAKES[seen];
    const open = nextQuestions.filter(({ id }) => asks.includes(id));
    expect([seen, open.length > 0]).toEqual([seen, true]);
    expect([seen, nextQuestions.slice(0, open.length).map(({ id }) => asks.includes(id))]).toEqual([
      seen,
      open.map(() => true),
    ]);
    for (const id of asks) expect(questionOf(id)).toBeDefined();
  }
});

test('a mention is asked about before anything else, and is itself no answer', () => {
  const plain = rank(NOTHING, CRAFT);
  for (const { id, asks } of MENTIONS) {
    const { causes, nextQuestions, stance } = rank(NOTHING, CRAFT, undefined, [id]);
    expect([id, causes.map((each) => each.probability)]).toEqual([
      id,
      plain.causes.map((each) => each.probability),
    ]);
    expect(stance).toBe('not-known');
    const open = nextQuestions.filter((each) => each.id in asks);
    expect([id, nextQuestions.slice(0, open.length).map((each) => each.id in asks)]).toEqual([
      id,
      open.map(() => true),
    ]);
    // What was not mentioned is still there to be asked.
    expect(nextQuestions).toHaveLength(plain.nextQuestions.length);
  }
  expect(rank(NOTHING, CRAFT, undefined, []).nextQuestions).toEqual(plain.nextQuestions);
});

test('a case mentions what was out of the ordinary in it, and nothing that was not told', () => {
  const of = (evidence: Evidence) => mentionedIn(evidence);
  expect(of({})).toEqual([]);
  expect(of({ attention: 'on-craft', link: 'steady', wildlife: 'none', obstacle_kind: 'solid' })).toEqual([]);
  expect(of({ attention: 'talked-to', link: 'control-lost' })).toEqual(['link', 'mind']);
  expect(of({ obstacle_kind: 'person' })).toEqual(['people']);
  expect(of({ motor_sound: 'unknown' })).toEqual([]);
  expect([...askedOf(['rain', 'link'])]).toEqual(['precipitation', 'link']);
});

test('rare things come early: with mentions half the cases are named by the fourth question, nine in ten by the fifteenth', () => {
  const counts = SOME.map((each) => questionsUntilRight(each, CRAFT, mentionedIn(each.evidence))).sort(
    (a, b) => a - b,
  );
  expect(counts[Math.floor(0.5 * counts.length)]).toBeLessThanOrEqual(4);
  expect(counts[Math.floor(0.9 * counts.length)]).toBeLessThanOrEqual(15);
});

test('without mentions half are named by the eighth, and what the wind carried off by the tenth', () => {
  const until = (each: Case) => questionsUntilRight(each, CRAFT, null);
  const counts = SOME.map(until).sort((a, b) => a - b);
  expect(counts[Math.floor(0.5 * counts.length)]).toBeLessThanOrEqual(8);
  const wind = [...CASES, ...TOLD_CASES].filter(({ cause }) => cause === 'wind-displacement').map(until);
  expect(Math.max(...wind)).toBeLessThanOrEqual(10);
});
