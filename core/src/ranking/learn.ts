import type { CauseId } from '../causes/causes';
import type { Answers } from '../evidence/question';
import { SIGNS } from '../evidence/signs';
import type { CraftFacts } from '../vocabulary/craft-facts';
import { type Experience, NO_EXPERIENCE } from './experience';
import { says } from './items';
import { CAUSE_IDS } from './hypotheses';
import { modelWith } from './model';

/** A confirmed occurrence that teaches. */
export interface Lesson {
  readonly cause: string;
  readonly known: Answers;
  readonly craft: CraftFacts;
}

/** What one occurrence teaches. */
export function lessonOf({ cause, known, craft }: Lesson): Experience {
  const told = Object.entries(known.choices).filter(([id, value]) => says(id, value));
  const chances = SIGNS.map((sign) => [sign.id, sign.chance(known, craft)] as const).filter(
    ([, chance]) => chance !== null,
  );
  return {
    causes: { [cause]: 1 },
    answers: { [cause]: Object.fromEntries(told.map(([id, value]) => [id, { [value]: 1 }])) },
    signs: { [cause]: Object.fromEntries(chances.map(([id, chance]) => [id, { held: chance!, told: 1 }])) },
  };
}

/** Counts are whole; what is left of held chances below this is rounding. */
const NOTHING_LEFT = 1e-9;

type Tree = { readonly [name: string]: number | Tree };

/** Adds (or takes away) number by number; what comes to nothing is left out. */
function merged(left: Tree, right: Tree, sign: 1 | -1): Tree {
  const changed = Object.entries(right).map(([name, value]): readonly [string, number | Tree] => {
    const there = left[name];
    return [
      name,
      typeof value === 'number'
        ? (typeof there === 'number' ? there : 0) + sign * value
        : merged(typeof there === 'object' ? there : {}, value, sign),
    ];
  });
  const untouched = Object.entries(left).filter(([name]) => !(name in right));
  return Object.fromEntries([
    ...untouched,
    ...changed.filter(([, value]) =>
      typeof value === 'number' ? Math.abs(value) >= NOTHING_LEFT : Object.keys(value).length > 0,
    ),
  ]);
}

/** An experience with another one added, or taken away again. The order of adding does not matter. */
export const withLesson = (experience: Experience, lesson: Experience, sign: 1 | -1 = 1): Experience => ({
  ...NO_EXPERIENCE,
  ...(merged(experience as unknown as Tree, lesson as unknown as Tree, sign) as Partial<Experience>),
});

/** Counts what confirmed occurrences showed. */
export const countLessons = (lessons: readonly Lesson[]): Experience =>
  lessons.reduce((sum, lesson) => withLesson(sum, lessonOf(lesson)), NO_EXPERIENCE);

export interface AnswerChange {
  readonly question: string;
  readonly value: string;
  readonly from: number;
  readonly to: number;
  readonly count: number;
}

export interface CauseChange {
  readonly causeId: CauseId;
  readonly count: number;
  readonly from: number;
  readonly to: number;
  /** What the school saw with it otherwise than expected, the largest change first. */
  readonly answers: readonly AnswerChange[];
}

const WORTH_SHOWING = 0.01;

/**
 * What a school's records have changed against the starting weights, cause by cause, the most confirmed
 * first.
 */
export function changesBy(experience: Experience): readonly CauseChange[] {
  const [start, own] = [modelWith(), modelWith(experience)];
  return CAUSE_IDS.map((causeId, c) => {
    const answers = Object.entries(experience.answers[causeId] ?? {}).flatMap(([question, values]) =>
      Object.entries(values).map(([value, count]) => ({
        question,
        value,
        count,
        from: start.answer.get(question)!.get(value)!.likelihood[c]!,
        to: own.answer.get(question)!.get(value)!.likelihood[c]!,
      })),
    );
    return {
      causeId,
      count: experience.causes[causeId] ?? 0,
      from: start.prior[c]!,
      to: own.prior[c]!,
      answers: answers
        .filter(({ from, to }) => Math.abs(to - from) >= WORTH_SHOWING)
        .sort((a, b) => Math.abs(b.to - b.from) - Math.abs(a.to - a.from)),
    };
  })
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
}
