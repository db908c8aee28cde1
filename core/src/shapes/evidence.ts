import { type AnyObject, mixed, object, type ObjectSchema, type Schema, string } from 'yup';
import type { SentNumber } from '../evidence/evidence';
import type { NumberQuestion } from '../evidence/question';
import { QUESTIONS } from '../evidence/questions';

const unitWords = (unit: string) => (unit === 'spans' ? '' : ` ${unit}`);

function numberShape({ id, unit, least, most }: NumberQuestion): Schema {
  const limits = `from ${least} to ${most}${unitWords(unit)}`;
  const remedy = `give a number ${limits}, alone or as { "value", "within" }`;
  const inside = (value: number | undefined) => value === undefined || (Number.isFinite(value) && value >= least && value <= most);
  return mixed<SentNumber>().test(id, '', (value, context) => {
    if (value === undefined) return true;
    const wrong = (message: string) => context.createError({ message: `${id} ${message}` });
    if (typeof value === 'number') return inside(value) || wrong(`must lie ${limits}, not ${value}: ${remedy}.`);
    if (value === null || typeof value !== 'object' || Array.isArray(value)) return wrong(`is not a number: ${remedy}.`);
    const extra = Object.keys(value).find((name) => !['value', 'within', 'unit'].includes(name));
    if (extra) return wrong(`has a part "${extra}" that means nothing here: ${remedy}.`);
    if (value.unit !== undefined && value.unit !== unit) return wrong(`is in "${String(value.unit)}": send it in "${unit}".`);
    if (typeof value.value !== 'number' || !inside(value.value)) return wrong(`must lie ${limits}: ${remedy}.`);
    if (value.within !== undefined && !(typeof value.within === 'number' && value.within >= 0 && value.within <= most)) return wrong(`has a "within" that is not a number from 0 to ${most}${unitWords(unit)}: say how far off it may be.`);
    return true;
  });
}

function choiceShape(id: string, values: readonly string[]): Schema {
  const list = values.join(', ');
  if (id !== 'nose') return string().strict().oneOf(values, `${id} must be one of ${list}: pick one of these.`).typeError(`${id} must be one of ${list}: pick one of these.`);
  return mixed<string | number>().test(id, `nose must be one of ${list}, or a bearing from 0 to 360 °: pick one of these.`, (value) =>
    value === undefined || (typeof value === 'number' ? value >= 0 && value <= 360 : values.includes(value)));
}

/** The shape of evidence, for API, storage and import: ids and values as in `QUESTIONS`, and nothing else. */
export const evidenceShape: ObjectSchema<AnyObject> = object(
  Object.fromEntries(QUESTIONS.map((question) => [question.id, question.kind === 'number' ? numberShape(question) : choiceShape(question.id, question.values.map((each) => each.id))])),
).noUnknown(true, ({ unknown }) => `${String(unknown)} is not a question: use the ids of the list of questions.`).strict().typeError('evidence must be an object of answers by question id.');
