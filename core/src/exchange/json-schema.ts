import { UUID } from '../vocabulary/key';
import { CAUSES } from '../causes/causes';
import { DEBRIEF_STATES } from '../debrief/findings';
import { INJURIES, RECURRENCE_CLASSES, SEVERITIES } from '../debrief/severity';
import { type QuestionId, QUESTIONS } from '../evidence/questions';
import { KINDS_OF_OCCURRENCE } from '../vocabulary/flying';

export const JSON_FORMAT = 'skelby-occurrences';
export const JSON_VERSION = 1;

/** What the parts of the schema mean, in words. */
export interface SchemaWords {
  readonly title: string;
  readonly evidence: string;
  readonly bearing: string;
  readonly within: string;
  readonly question: (id: QuestionId) => string;
  readonly number: (id: QuestionId, unit: string) => string;
}

const text = (longest: number, more: object = {}) => ({ type: 'string', maxLength: longest, ...more });
const orNull = (schema: object) => ({ anyOf: [schema, { type: 'null' }] });
const cause = { enum: CAUSES.map((each) => each.id) };
const key = {
  type: 'string',
  pattern: UUID.source,
};
const object = (properties: object, required: readonly string[]) => ({
  type: 'object',
  additionalProperties: false,
  required,
  properties,
});

const answer = (question: (typeof QUESTIONS)[number], says: SchemaWords): object => {
  if (question.kind === 'choice') {
    const values = { enum: question.values };
    return {
      description: says.question(question.id),
      ...(question.id === 'nose'
        ? {
            anyOf: [
              values,
              {
                type: 'number',
                minimum: 0,
                maximum: 360,
                description: says.bearing,
              },
            ],
          }
        : values),
    };
  }
  const number = { type: 'number', minimum: question.least, maximum: question.most };
  const within = {
    type: 'number',
    minimum: 0,
    maximum: question.most,
    description: says.within,
  };
  return {
    description: says.number(question.id, question.unit),
    anyOf: [number, object({ value: number, within, unit: { const: question.unit } }, ['value'])],
  };
};

const debrief = (says: SchemaWords) =>
  object(
    {
      state: { enum: DEBRIEF_STATES },
      evidence: {
        ...object(Object.fromEntries(QUESTIONS.map((question) => [question.id, answer(question, says)])), []),
        description: says.evidence,
      },
      ownPick: orNull(cause),
      primary: orNull(cause),
      contributing: { type: 'array', maxItems: 8, items: cause },
      overruleReason: text(300),
      actual: orNull({ enum: SEVERITIES }),
      potential: orNull({ enum: SEVERITIES }),
      likelihood: orNull({ enum: RECURRENCE_CLASSES }),
      damage: { type: 'array', maxItems: 20, items: text(80) },
      injury: orNull({ enum: INJURIES }),
      thirdParty: { type: 'boolean' },
      wentWell: text(600),
      chain: {
        type: 'array',
        maxItems: 20,
        items: object(
          { words: text(160, { minLength: 1 }), causeId: orNull(cause), breakable: { type: 'boolean' } },
          ['words', 'breakable'],
        ),
      },
      nameWithheld: { type: 'boolean' },
    },
    ['state'],
  );

/**
 * JSON Schema of the file (draft 2020-12); docs/occurrences.schema.json is this, written out.
 * @param says what its parts mean
 */
export const occurrencesSchema = (says: SchemaWords) => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: says.title,
  ...object(
    {
      format: { const: JSON_FORMAT },
      version: { const: JSON_VERSION },
      occurrences: {
        type: 'array',
        items: object(
          {
            id: orNull(key),
            pilotId: orNull(key),
            pilot: text(80, { minLength: 1 }),
            kind: { enum: KINDS_OF_OCCURRENCE },
            day: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' },
            happenedAt: {
              type: 'string',
              pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d{1,6})?Z$',
            },
            causeId: cause,
            note: text(1000),
            craft: orNull(text(60)),
            site: orNull(text(60)),
            windMps: orNull({ type: 'number', minimum: 0, maximum: 30 }),
            confirmedCauseId: orNull(cause),
            withdrawnReason: orNull(text(300)),
            debrief: orNull(debrief(says)),
          },
          ['pilot', 'kind', 'day', 'happenedAt', 'causeId'],
        ),
      },
    },
    ['format', 'version', 'occurrences'],
  ),
});
