import { CAUSES, type CauseId } from '../causes/causes';
import { WEAKNESS_STATES, type WeaknessState } from '../clearance/rungs';
import type { Day } from '../vocabulary/day';

/** What a pilot takes along: what was flown, which weaknesses were found and cleared, and what of the course was shown. */

export const RECORD_FORMAT = 'skelby-training-record';
export const RECORD_VERSION = 1;

export interface RecordedWeakness {
  readonly id: string;
  readonly causeId: CauseId;
  readonly openedOn: Day;
  readonly state: WeaknessState;
  /** The signature that stands; null: it has none, or it was undone. */
  readonly signed: {
    readonly id: string;
    readonly at: string;
    readonly by: string;
    readonly early: boolean;
  } | null;
}

export interface TrainingRecord {
  readonly format: typeof RECORD_FORMAT;
  readonly version: typeof RECORD_VERSION;
  /** Instant, ISO 8601. */
  readonly madeAt: string;
  readonly school: { readonly id: string; readonly name: string };
  readonly pilot: { readonly id: string; readonly name: string };
  /** Days are null where nothing was flown. */
  readonly flown: {
    readonly flights: number;
    readonly packs: number;
    readonly minutes: number;
    readonly firstDay: Day | null;
    readonly lastDay: Day | null;
  };
  readonly occurrences: { readonly crashes: number; readonly nearMisses: number };
  readonly weaknesses: readonly RecordedWeakness[];
  /** The day is that of the last of its parts; null: not all are shown, or one was before anything was counted. */
  readonly course: readonly {
    readonly lessonId: string;
    readonly shown: boolean;
    readonly shownOn: Day | null;
  }[];
}

const object = (properties: Readonly<Record<string, object>>) => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties),
  properties,
});
const text = { type: 'string' };
const orNull = (schema: object) => ({ anyOf: [schema, { type: 'null' }] });
const day = { type: 'string', format: 'date' };
const instant = { type: 'string', format: 'date-time' };
const key = { type: 'string', format: 'uuid' };
const count = { type: 'integer', minimum: 0 };
const named = object({ id: key, name: text });

/** JSON Schema of the record (draft 2020-12); docs/training-record.schema.json is this, written out. */
export const trainingRecordSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Training record of a pilot',
  ...object({
    format: { const: RECORD_FORMAT },
    version: { const: RECORD_VERSION },
    madeAt: instant,
    school: named,
    pilot: named,
    flown: object({
      ...{ flights: count, packs: count, minutes: { type: 'number', minimum: 0 } },
      ...{ firstDay: orNull(day), lastDay: orNull(day) },
    }),
    occurrences: object({ crashes: count, nearMisses: count }),
    weaknesses: {
      type: 'array',
      items: object({
        ...{
          id: key,
          causeId: { enum: CAUSES.map(({ id }) => id) },
          openedOn: day,
          state: { enum: WEAKNESS_STATES },
        },
        signed: orNull(object({ id: key, at: instant, by: text, early: { type: 'boolean' } })),
      }),
    },
    course: {
      type: 'array',
      items: object({ lessonId: text, shown: { type: 'boolean' }, shownOn: orNull(day) }),
    },
  }),
});

/** Names in words, for whoever reads statements elsewhere. */
export interface XapiWords {
  readonly cause: (id: CauseId) => string;
  readonly lesson: (id: string) => string;
}

export interface XapiStatement {
  readonly id: string;
  readonly actor: {
    readonly objectType: 'Agent';
    readonly name: string;
    readonly account: { readonly homePage: string; readonly name: string };
  };
  readonly verb: { readonly id: string; readonly display: Readonly<Record<string, string>> };
  readonly object: {
    readonly objectType: 'Activity';
    readonly id: string;
    readonly definition: { readonly name: Readonly<Record<string, string>>; readonly type: string };
  };
  readonly result: { readonly success: boolean; readonly completion: boolean };
  readonly timestamp: string;
  readonly context: { readonly platform: string; readonly language: string };
}

const PASSED = { id: 'http://adlnet.gov/expapi/verbs/passed', display: { en: 'passed' } };
const COMPLETED = { id: 'http://adlnet.gov/expapi/verbs/completed', display: { en: 'completed' } };
const ASSESSMENT = 'http://adlnet.gov/expapi/activities/assessment';
const LESSON = 'http://adlnet.gov/expapi/activities/lesson';

/**
 * The record as statements of the Experience API 1.0.3 (ADL; verbs and activities of its vocabulary, from memory): a weakness that
 * was signed off (early ones left out: their evidence was not there) is passed, a lesson that was shown is completed. The pilot is known by name and key, never by an e-mail address.
 * @param home address of the school's own server: names of accounts and activities begin with it
 * @param keyOf a UUID of a lesson of this pilot, the same every time
 */
export function xapiStatements(
  { pilot, weaknesses, course, school }: TrainingRecord,
  { cause, lesson }: XapiWords,
  { home, keyOf }: { readonly home: string; readonly keyOf: (lessonId: string) => string },
): readonly XapiStatement[] {
  const common = {
    actor: { objectType: 'Agent', name: pilot.name, account: { homePage: home, name: pilot.id } },
    result: { success: true, completion: true },
    context: { platform: school.name, language: 'en' },
  } as const;
  const activity = (kind: string, id: string, name: string, type: string) =>
    ({
      objectType: 'Activity',
      id: `${home}/xapi/${kind}/${id}`,
      definition: { name: { en: name }, type },
    }) as const;
  return [
    ...weaknesses.flatMap(({ causeId, signed }): readonly XapiStatement[] =>
      signed && !signed.early
        ? [
            {
              ...common,
              ...{ id: signed.id, verb: PASSED, timestamp: signed.at },
              object: activity('weakness', causeId, cause(causeId), ASSESSMENT),
            },
          ]
        : [],
    ),
    ...course.flatMap(({ lessonId, shownOn }): readonly XapiStatement[] =>
      shownOn
        ? [
            {
              ...common,
              ...{ id: keyOf(lessonId), verb: COMPLETED, timestamp: `${shownOn}T00:00:00Z` },
              object: activity('lesson', lessonId, lesson(lessonId), LESSON),
            },
          ]
        : [],
    ),
  ];
}
