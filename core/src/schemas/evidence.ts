import { mixed, type Schema, ValidationError } from 'yup';
import { answerProblem } from '../evidence/check-answer';
import { asMessage, fieldSaid } from './field-said';
import type { Evidence } from '../evidence/evidence';

/**
 * The shape of evidence, for API, storage and import: ids and values of the questions, and nothing else. Only
 * what was sent is looked at:
 * with a field for each of sixty questions, a file of ten thousand occurrences would take ten times as long
 * to check.
 */
export const evidenceShape: Schema<Evidence | undefined> = mixed<Evidence>()
  .test('evidence', '', (sent, { path, createError }) => {
    if (sent === undefined) return true;
    if (sent === null || typeof sent !== 'object' || Array.isArray(sent))
      return createError({ message: fieldSaid('field.evidence-no-object') });
    const errors = Object.entries(sent).flatMap(([id, answer]) => {
      const said = answerProblem(id, answer);
      return said === null
        ? []
        : [createError({ path: path ? `${path}.${id}` : id, message: asMessage(said) })];
    });
    return errors.length === 0 || new ValidationError(errors, sent, path);
  })
  .meta({ jsonSchema: { type: 'object' } });
