import type { NumberQuestion } from './question';
import { isQuestionId, questionOf } from './questions';

const unitWords = (unit: string) => (unit === 'spans' ? '' : ` ${unit}`);

function numberProblem(sent: unknown, { unit, least, most }: NumberQuestion): string | null {
  const limits = `from ${least} to ${most}${unitWords(unit)}`;
  const remedy = `give a number ${limits}, alone or as { "value", "within" }`;
  const inside = (value: unknown) => typeof value === 'number' && value >= least && value <= most;
  if (typeof sent === 'number') return inside(sent) ? null : `must lie ${limits}, not ${sent}: ${remedy}.`;
  if (sent === null || typeof sent !== 'object' || Array.isArray(sent)) return `is not a number: ${remedy}.`;
  const { value, within, unit: given, ...rest } = sent as Record<string, unknown>;
  const extra = Object.keys(rest)[0];
  if (extra !== undefined) return `has a part "${extra}" that means nothing here: ${remedy}.`;
  if (given !== undefined && given !== unit) return `is in "${String(given)}": send it in "${unit}".`;
  if (!inside(value)) return `must lie ${limits}: ${remedy}.`;
  if (within !== undefined && !(typeof within === 'number' && within >= 0 && within <= most))
    return `has a "within" that is not a number from 0 to ${most}${unitWords(unit)}: say how far off it may be.`;
  return null;
}

/** What is wrong with an answer as it was sent, naming question, limit and remedy; null when nothing is. */
export function answerProblem(id: string, sent: unknown): string | null {
  if (!isQuestionId(id)) return `${id} is not a question: use the ids of the list of questions.`;
  const question = questionOf(id);
  if (question.kind === 'number') {
    const problem = numberProblem(sent, question);
    return problem === null ? null : `${id} ${problem}`;
  }
  if (question.values.some((value) => value.id === sent)) return null;
  if (id === 'nose' && typeof sent === 'number' && sent >= 0 && sent <= 360) return null;
  const list = question.values.map((value) => value.id).join(', ');
  return `${id} must be one of ${list}${id === 'nose' ? ', or a bearing from 0 to 360 °' : ''}: pick one of these.`;
}
