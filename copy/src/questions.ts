import type { QuestionId } from '@skelby/core/evidence/questions';
import { QUESTION_WORDS, type QuestionWords } from './en/questions';

export const questionWords = (id: QuestionId): QuestionWords => QUESTION_WORDS[id];

/** What an answer is called; as it was kept where it is none of the answers now. */
export const valueWords = (id: QuestionId, value: string): string =>
  QUESTION_WORDS[id].values?.[value] ?? value;
