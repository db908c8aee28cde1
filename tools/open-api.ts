import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { AnyCommand } from '@skelby/core/commands/command';
import { COMMANDS, type TrainerCommandName } from '@skelby/core/commands/commands';
import { MAY_BY_TOKEN, RIGHT_OF, TOKEN_ROLES, may } from '@skelby/core/people/roles';
import { MONTHS_TOLD } from '@skelby/core/pages/insights';
import { UUID } from '@skelby/core/vocabulary/key';
import { SOUGHT_SIGNS } from '@skelby/core/vocabulary/sought';
import { apiWords, type ReadAddress } from '@skelby/copy/api';
import { convertSchema } from '@sodaru/yup-to-json-schema';
import * as TJS from 'typescript-json-schema';
import { API_EXAMPLES } from './open-api-examples';
import { ROOT } from './places';

/**
 * The interface for programs as OpenAPI 3.1: bodies from the shapes that the server checks by, answers from the types
 * that the app reads them by. Written to docs/openapi.json, which the server hands out.
 */

export const OPEN_API_FILE = path.join(ROOT, 'docs', 'openapi.json');

type Json = Readonly<Record<string, unknown>>;

/** An answer: the type in core that says what it is, and whether it is a list of them. */
const ANSWERS: Readonly<Record<ReadAddress, string | readonly [string]>> = {
  '/today': 'TodayList',
  '/to-debrief': 'ToDebriefPage',
  '/roster': 'Roster',
  '/flights': ['Flight'],
  '/flights/older': 'FlightsPage',
  '/experience': 'SchoolExperience',
  '/experience/calibration': ['SaidAgainstDecided'],
  '/school/rule': 'ClearingRule',
  '/school/retention': 'RetentionPage',
  '/sessions': ['TrainingSession'],
  '/course': 'CoursePage',
  '/insights': 'InsightsPage',
  '/search': 'SearchPage',
  '/signs': 'SignsPage',
  '/drills': ['SchoolDrillVersion'],
  '/pilots/:id': 'PilotPage',
  '/pilots/:id/occurrences': 'OccurrencesPage',
  '/sessions/:id': 'TrainingSession',
  '/weaknesses/:id': 'WeaknessPage',
  '/weaknesses/:id/reps': 'EarlierReps',
  '/occurrences/:id': 'OccurrenceOfPilot',
  '/occurrences/:id/debrief': 'DebriefPage',
  '/occurrences/:id/debrief/:versionId': 'DebriefVersion',
};

const KEY = { type: 'string', format: 'uuid', pattern: UUID.source };
const key = (of: string, isNeeded = true) => ({ isNeeded, schema: { ...KEY, description: `Of ${of}.` } });
/** What may or must stand behind the question mark. */
const ASKED: Readonly<
  Partial<
    Record<ReadAddress, Readonly<Record<string, { readonly isNeeded?: boolean; readonly schema: Json }>>>
  >
> = {
  '/search': {
    q: { schema: { type: 'string', maxLength: SOUGHT_SIGNS } },
    causes: { schema: { type: 'string', description: 'Ids of causes with commas between.' } },
  },
  '/insights': {
    months: { schema: { type: 'integer', minimum: MONTHS_TOLD.least, maximum: MONTHS_TOLD.most } },
  },
  '/weaknesses/:id': { reps: { schema: { const: 'lately' } } },
  '/flights/older': { before: key('a flight'), pilot: key('a pilot', false) },
  '/to-debrief': { whose: { schema: { enum: ['mine', 'all'] } }, after: key('an occurrence', false) },
  '/pilots/:id/occurrences': { before: key('an occurrence') },
  '/weaknesses/:id/reps': { before: { isNeeded: true, schema: { type: 'string', format: 'date-time' } } },
};

const FILES = ['pages', 'people', 'portal', 'prefetch', 'course', 'insights', 'search', 'signs', 'older'];
const OTHER_FILES = ['clearance/clearing-rule', 'ranking/calibration'];

/** Names of components may hold no brackets and quotes. */
const LONGEST_NAME = 40;
const unnamed = new Map<string, string>();
/** Types without a name of their own are numbered as they come. */
function plain(name: string): string {
  const word = decodeURIComponent(name)
    .replace(/[^\w.-]+/g, '_')
    .replace(/^_+|_+$/g, '');
  if (word.length <= LONGEST_NAME) return word;
  const number = unnamed.get(word) ?? `Part${unnamed.size + 1}`;
  unnamed.set(word, number);
  return number;
}
const IN_PLACE = '#/definitions/';

/** The same schema with its references led to the components, and nothing that JSON Schema 2020-12 has no word for. */
function ledToComponents(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(ledToComponents);
  if (schema === null || typeof schema !== 'object') return schema;
  return Object.fromEntries(
    Object.entries(schema).map(([key, value]) => [
      // A list with a place for each is called otherwise since 2020-12.
      key === 'items' && Array.isArray(value) ? 'prefixItems' : key === 'additionalItems' ? 'items' : key,
      key === '$ref' && typeof value === 'string' && value.startsWith(IN_PLACE)
        ? `#/components/schemas/${plain(value.slice(IN_PLACE.length))}`
        : ledToComponents(value),
    ]),
  );
}

/** Schemas of the answers' types, by name, with all they lean on. */
function typeSchemas(): Json {
  const files = [...FILES.map((name) => `pages/${name}`), ...OTHER_FILES].map((name) =>
    path.join(ROOT, 'core', 'src', `${name}.ts`),
  );
  const program = TJS.getProgramFromFiles(
    files,
    {
      strict: true,
      skipLibCheck: true,
      noEmit: true,
      module: 'esnext',
      moduleResolution: 'bundler',
      target: 'es2023',
    },
    ROOT,
  );
  const generator = TJS.buildGenerator(program, { required: true, topRef: true, ignoreErrors: true });
  if (!generator) throw new Error('The types of the answers cannot be read.');
  const schemas: Record<string, unknown> = {};
  for (const answer of Object.values(ANSWERS)) {
    const { definitions = {} } = generator.getSchemaForSymbol([answer].flat()[0]!);
    for (const [name, schema] of Object.entries(definitions)) schemas[plain(name)] = ledToComponents(schema);
  }
  return Object.fromEntries(Object.entries(schemas).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** What the converter leaves that says nothing: kinds of a value that may be anything, and a whole body as its default. */
function tidied(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(tidied);
  if (schema === null || typeof schema !== 'object') return schema;
  const isBody = 'properties' in schema;
  const fields = (isBody ? schema.properties : {}) as Readonly<Record<string, object>>;
  return Object.fromEntries(
    Object.entries(schema)
      .filter(([key, value]) => !(key === 'type' && Array.isArray(value) && value.length === 0))
      .filter(([key]) => !(isBody && key === 'default'))
      .map(([key, value]) => {
        if (key === 'default') return [key, value as unknown];
        // What has its usual value need not be sent.
        if (isBody && key === 'required')
          return [key, (value as readonly string[]).filter((name) => !('default' in fields[name]!))];
        return [key, tidied(value)];
      }),
  );
}

const WORD = { type: 'string', pattern: '^[\\w-]+$' };

/** An address as OpenAPI writes it, and the keys in it. */
function addressed(pattern: string) {
  const keys = [...pattern.matchAll(/:(\w+)/g)].map((match) => match[1]!);
  return {
    path: pattern.replace(/:(\w+)/g, '{$1}'),
    keys: keys.map((name) => ({
      ...{ name, in: 'path', required: true },
      schema: name === 'drillId' ? WORD : KEY,
    })),
  };
}

const problems = () =>
  Object.fromEntries(
    Object.entries(apiWords().problems).map(([status, description]) => [
      status,
      {
        description,
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    ]),
  );

const answered = (description: string, schema: Json) => ({
  '200': { description, content: { 'application/json': { schema } } },
  ...problems(),
});

function readOperation(address: ReadAddress) {
  const { path: at, keys } = addressed(address);
  const answer = ANSWERS[address];
  const asked = Object.entries(ASKED[address] ?? {}).map(([name, { isNeeded = false, schema }]) => ({
    ...{ name, in: 'query', required: isNeeded },
    schema,
  }));
  const ref = { $ref: `#/components/schemas/${[answer].flat()[0]!}` };
  const summary = apiWords().pages[address];
  return [
    at,
    {
      get: {
        operationId: `read${at.replace(/\W+(\w)?/g, (_, letter: string | undefined) => letter?.toUpperCase() ?? '')}`,
        summary,
        ...([...keys, ...asked].length > 0 ? { parameters: [...keys, ...asked] } : {}),
        responses: answered(summary, Array.isArray(answer) ? { type: 'array', items: ref } : ref),
      },
    },
  ] as const;
}

function exampleOf({ name }: AnyCommand): Json {
  const found = API_EXAMPLES.find((each) => each.name === name);
  return found ? { example: found.body } : {};
}

function writeOperation(command: AnyCommand) {
  const { path: at, keys } = addressed(command.address.pattern);
  const shape = command.schema(Object.fromEntries(keys.map(({ name }) => [name, ''])));
  return [
    at,
    {
      put: {
        operationId: command.name,
        summary: apiWords().commands[command.name as TrainerCommandName],
        ...(keys.length > 0 ? { parameters: keys } : {}),
        requestBody: {
          required: true,
          content: {
            'application/json': { schema: tidied(convertSchema(shape as never)), ...exampleOf(command) },
          },
        },
        responses: answered(apiWords().done, { type: 'object' }),
      },
    },
  ] as const;
}

/** Whether a program can be let do it: what is set for the whole school is done by hand. */
const isForTokens = ({ by, name }: AnyCommand) => {
  const right = RIGHT_OF[name as TrainerCommandName];
  return by === 'trainer' && MAY_BY_TOKEN.includes(right) && TOKEN_ROLES.some((role) => may(role, right));
};

/** The whole document. */
export function openApi(): Json {
  const { title, about, token, pages } = apiWords();
  const paths: Record<string, object> = {};
  const add = ([at, operation]: readonly [string, object]) => (paths[at] = { ...paths[at], ...operation });
  for (const address of Object.keys(pages) as ReadAddress[]) add(readOperation(address));
  for (const command of (COMMANDS as readonly AnyCommand[]).filter(isForTokens)) add(writeOperation(command));
  const text = { type: 'string' };
  return {
    openapi: '3.1.0',
    info: { title, version: '1', description: about },
    servers: [{ url: '/api' }],
    security: [{ token: [] }],
    paths,
    components: {
      securitySchemes: { token: { type: 'http', scheme: 'bearer', description: token } },
      schemas: {
        Problem: {
          type: 'object',
          required: ['title', 'status', 'detail'],
          properties: {
            ...{ title: text, status: { type: 'integer' }, detail: text },
            errors: {
              type: 'array',
              items: {
                type: 'object',
                required: ['field', 'message'],
                properties: { field: text, message: text },
              },
            },
          },
        },
        ...typeSchemas(),
      },
    },
  };
}

const written = (): string => `${JSON.stringify(openApi(), null, 1)}\n`;

/** Writes the document anew. */
export const writeOpenApi = (): void => writeFileSync(OPEN_API_FILE, written());

/** Whether the document in docs is what the code says. */
export const isDescribed = (): boolean => readFileSync(OPEN_API_FILE, 'utf8') === written();
