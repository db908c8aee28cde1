import type { SchemaWords } from '@skelby/core/exchange/json-schema';
import type { BaseColumn } from '@skelby/core/exchange/occurrence-record';
import { isQuestionId, type QuestionId, questionOf } from '@skelby/core/evidence/questions';
import { BEARING, COLUMN_MEANINGS, SCHEMA_PARTS } from './en/columns';
import { questionWords } from './questions';

/** What a column of an open file of occurrences holds. */
export function columnMeaning(name: BaseColumn | QuestionId): string {
  if (!isQuestionId(name)) return COLUMN_MEANINGS[name];
  const question = questionOf(name);
  const { ask } = questionWords(name);
  return question.kind === 'choice'
    ? `${ask} ${question.values.join(', ')}${name === 'nose' ? BEARING : ''}`
    : `${ask} ${question.least} to ${question.most} ${question.unit}; ${SCHEMA_PARTS.withinInCell}`;
}

/** What the parts of the JSON Schema mean. */
export const SCHEMA_WORDS: SchemaWords = {
  title: SCHEMA_PARTS.title,
  evidence: SCHEMA_PARTS.evidence,
  bearing: SCHEMA_PARTS.bearing,
  within: SCHEMA_PARTS.within,
  question: (id) => questionWords(id).ask,
  number: (id, unit) => `${questionWords(id).ask} ${SCHEMA_PARTS.in} ${unit}.`,
};
