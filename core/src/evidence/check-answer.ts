import { type Said, sentence } from '../vocabulary/said';
import type { NumberQuestion } from './question';
import { isQuestionId, questionOf } from './questions';

function numberProblem(sent: unknown, { id, unit, least, most }: NumberQuestion): Said | null {
  const limits = { id, least, most, unit: unit === 'spans' ? '' : ` ${unit}` };
  const inside = (value: unknown) => typeof value === 'number' && value >= least && value <= most;
  if (typeof sent === 'number') return inside(sent) ? null : sentence('answer.outside', { ...limits, sent });
  if (sent === null || typeof sent !== 'object' || Array.isArray(sent))
    return sentence('answer.no-number', limits);
  const { value, within, unit: given, ...rest } = sent as Record<string, unknown>;
  const part = Object.keys(rest)[0];
  if (part !== undefined) return sentence('answer.unknown-part', { ...limits, part });
  if (given !== undefined && given !== unit)
    return sentence('answer.other-unit', { id, given: String(given), unit });
  if (!inside(value)) return sentence('answer.value-outside', limits);
  if (within !== undefined && !(typeof within === 'number' && within >= 0 && within <= most))
    return sentence('answer.within-outside', limits);
  return null;
}

/** What is wrong with an answer as it was sent, naming question, limit and remedy; null when nothing is. */
export function answerProblem(id: string, sent: unknown): Said | null {
  if (!isQuestionId(id)) return sentence('answer.no-question', { id });
  const question = questionOf(id);
  if (question.kind === 'number') return numberProblem(sent, question);
  if (question.values.some((value) => value === sent)) return null;
  if (id === 'nose' && typeof sent === 'number' && sent >= 0 && sent <= 360) return null;
  return sentence(id === 'nose' ? 'answer.other-nose' : 'answer.other-choice', {
    id,
    values: question.values,
  });
}
