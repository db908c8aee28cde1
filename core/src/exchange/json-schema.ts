import { UUID } from '../vocabulary/key';
import { CAUSES } from '../causes/causes';
import { DEBRIEF_STATES } from '../debrief/findings';
import { INJURIES, RECURRENCE_CLASSES, SEVERITIES } from '../debrief/severity';
import { QUESTIONS } from '../evidence/questions';
import { KINDS_OF_OCCURRENCE } from '../vocabulary/flying';

export const JSON_FORMAT = 'skelby-occurrences';
export const JSON_VERSION = 1;

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

const answer = (question: (typeof QUESTIONS)[number]): object => {
  if (question.kind === 'choice') {
    const values = { enum: question.values.map((value) => value.id) };
    return {
      description: question.ask,
      ...(question.id === 'nose'
        ? {
            anyOf: [
              values,
              {
                type: 'number',
                minimum: 0,
                maximum: 360,
                description: 'Bearing in degrees, 0 away from the pilot, clockwise seen from above',
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
    description: 'How far off it may be, one standard deviation',
  };
  return {
    description: `${question.ask} In ${question.unit}.`,
    anyOf: [number, object({ value: number, within, unit: { const: question.unit } }, ['value'])],
  };
};

const debrief = object(
  {
    state: { enum: DEBRIEF_STATES },
    evidence: {
      ...object(Object.fromEntries(QUESTIONS.map((question) => [question.id, answer(question)])), []),
      description: 'Answers by question id, numbers in SI units',
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

/** JSON Schema of the file (draft 2020-12); docs/occurrences.schema.json is this, written out. */
export const OCCURRENCES_SCHEMA = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Occurrences',
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
            debrief: orNull(debrief),
          },
          ['pilot', 'kind', 'day', 'happenedAt', 'causeId'],
        ),
      },
    },
    ['format', 'version', 'occurrences'],
  ),
} as const;
