import type { Answers } from '../evidence/question';
import { SIGNS } from '../evidence/signs';
import type { CraftFacts } from '../flying/craft-facts';
import type { Experience } from './experience';
import { says } from './items';
import { CAUSE_IDS, modelWith } from './model';

/** A confirmed occurrence that teaches. */
export interface Lesson {
  readonly cause: string;
  readonly known: Answers;
  readonly craft: CraftFacts;
}

type Counts = Record<string, Record<string, Record<string, number>>>;

/** Counts what confirmed occurrences showed; the sum does not depend on their order. */
export function countLessons(lessons: readonly Lesson[]): Experience {
  const causes: Record<string, number> = {};
  const answers: Counts = {};
  const signs: Record<string, Record<string, { held: number; told: number }>> = {};
  for (const { cause, known, craft } of lessons) {
    causes[cause] = (causes[cause] ?? 0) + 1;
    const ofCause = (answers[cause] ??= {});
    for (const [id, value] of Object.entries(known.choices)) {
      if (!says(id, value)) continue;
      const ofQuestion = (ofCause[id] ??= {});
      ofQuestion[value] = (ofQuestion[value] ?? 0) + 1;
    }
    const signsOfCause = (signs[cause] ??= {});
    for (const sign of SIGNS) {
      const chance = sign.chance(known, craft);
      if (chance === null) continue;
      const count = (signsOfCause[sign.id] ??= { held: 0, told: 0 });
      count.held += chance;
      count.told += 1;
    }
  }
  return { causes, answers, signs };
}

export interface AnswerChange {
  readonly question: string;
  readonly value: string;
  readonly from: number;
  readonly to: number;
  readonly count: number;
}

export interface CauseChange {
  readonly causeId: string;
  readonly count: number;
  readonly from: number;
  readonly to: number;
  /** What the school saw with it otherwise than expected, the largest change first. */
  readonly answers: readonly AnswerChange[];
}

const WORTH_SHOWING = 0.01;

/** What a school's records have changed against the starting weights, cause by cause, the most confirmed first. */
export function changesBy(experience: Experience): readonly CauseChange[] {
  const [start, own] = [modelWith(), modelWith(experience)];
  return CAUSE_IDS.map((causeId, c) => {
    const answers = Object.entries(experience.answers[causeId] ?? {}).flatMap(([question, values]) => Object.entries(values).map(([value, count]) => ({
      question, value, count, from: start.answer.get(question)!.get(value)!.likelihood[c]!, to: own.answer.get(question)!.get(value)!.likelihood[c]!,
    })));
    return {
      causeId, count: experience.causes[causeId] ?? 0, from: start.prior[c]!, to: own.prior[c]!,
      answers: answers.filter(({ from, to }) => Math.abs(to - from) >= WORTH_SHOWING).sort((a, b) => Math.abs(b.to - b.from) - Math.abs(a.to - a.from)),
    };
  }).filter(({ count }) => count > 0).sort((a, b) => b.count - a.count);
}
