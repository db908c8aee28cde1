import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { PAGES } from '../server/src/routes';
import { startTestServer, type TestServer } from '../server/src/testing/test-school';
import Ajv from 'ajv/dist/2020';
import { API_EXAMPLES } from './open-api-examples';
import { isDescribed, OPEN_API_FILE } from './open-api';
import { bin } from './places';

/** What programs are told is what the server does: the document against the code, a validator of others, and the server. */

interface Operation {
  readonly requestBody?: {
    readonly content: Record<string, { readonly schema: object; readonly example?: object }>;
  };
  readonly responses: Record<string, { readonly content: Record<string, { readonly schema: object }> }>;
}
interface OpenApiDocument {
  readonly paths: Record<string, { readonly get?: Operation; readonly put?: Operation }>;
  readonly components: { readonly schemas: Record<string, object> };
}
const JSON_TYPE = 'application/json';
const read = () => JSON.parse(readFileSync(OPEN_API_FILE, 'utf8')) as OpenApiDocument;

/** What a general validator of JSON Schema finds wrong with a value, by a schema of the document. */
function wrongWith({ components }: OpenApiDocument, schema: object, value: unknown): readonly string[] {
  const ajv = new Ajv({ strict: false, allErrors: true, validateFormats: false });
  const fits = ajv.compile({ ...schema, components });
  return fits(value)
    ? []
    : (fits.errors ?? []).map(({ instancePath, message }) => `${instancePath} ${message}`);
}

test('the document says what the code says: write it anew with ./skelby describe', () => {
  expect(isDescribed()).toBe(true);
}, 60_000);

test('a general validator takes it for OpenAPI 3.1', () => {
  expect(JSON.parse(execFileSync(bin('validate-api'), [OPEN_API_FILE], { encoding: 'utf8' }))).toMatchObject({
    valid: true,
  });
});

test('every page has its line', () => {
  const described = Object.entries(read().paths).flatMap(([at, { get }]) => (get ? [at] : []));
  expect(described.sort()).toEqual(
    Object.keys(PAGES)
      .map((at) => at.replace(/:(\w+)/g, '{$1}'))
      .sort(),
  );
});

describe('with a token', () => {
  let server: TestServer;
  let bearer: Record<string, string>;
  beforeAll(async () => {
    server = await startTestServer();
    const { trainer } = await server.school('Carrow Fell');
    const { body } = await trainer.ask<{ token: string }>('POST', '/api/people/tokens', {
      ...{ name: 'Bench book', role: 'trainer' },
    });
    bearer = { Authorization: `Bearer ${body.token}`, Origin: '', Cookie: '' };
  }, 60_000);
  afterAll(() => server.close());

  const ask = (method: string, at: string, body?: unknown) =>
    server.visitor().ask(method, `/api${at}`, body, bearer);
  const keysIn = (at: string) => at.match(/[0-9a-f-]{36}/g) ?? [];
  const templateOf = (document: OpenApiDocument, at: string, method: 'get' | 'put') =>
    Object.keys(document.paths).find(
      (each) =>
        document.paths[each]![method] &&
        new RegExp(`^${each.replace(/\{\w+\}/g, '[0-9a-f-]{36}')}$`).test(at),
    )!;

  test('every example is taken as it stands, and fits the schema beside it', async () => {
    const document = read();
    for (const { name, path: at, body } of API_EXAMPLES) {
      const { requestBody } = document.paths[templateOf(document, at, 'put')]!.put!;
      const { schema, example } = requestBody!.content[JSON_TYPE]!;
      expect([name, example, wrongWith(document, schema, example)]).toEqual([name, body, []]);
      const { status, body: said } = await ask('PUT', at, body);
      expect([name, status, said['detail']]).toEqual([name, 200, undefined]);
    }
  });

  test('a body that the schema refuses is refused, and the other way round, where a field is missing or of the wrong kind', async () => {
    const document = read();
    const differ: string[] = [];
    for (const { name, path: at, body } of API_EXAMPLES) {
      const { schema } =
        document.paths[templateOf(document, at, 'put')]!.put!.requestBody!.content[JSON_TYPE]!;
      for (const field of Object.keys(body))
        for (const [how, odd] of [
          ['missing', undefined],
          ['an object', {}],
          ['far too large', 1e9],
        ] as const) {
          const sent = JSON.parse(JSON.stringify({ ...body, [field]: odd })) as object;
          const { status } = await ask('PUT', at, sent);
          const isWrong = wrongWith(document, schema, sent).length > 0;
          if (isWrong !== (status === 422)) differ.push(`${name} ${field} ${how}: ${status}`);
        }
    }
    expect(differ).toEqual([]);
  });

  test('every answer fits the schema that it is told to have', async () => {
    const document = read();
    const { body } = await ask('GET', '/today');
    const weaknessId = (body['weaknesses'] as { id: string }[])[0]!.id;
    const [pilotId, nearMissId] = [0, 4].map((i) => keysIn(API_EXAMPLES[i]!.path)[0]!);
    const ids: Readonly<Record<string, string>> = {
      pilots: pilotId!,
      occurrences: nearMissId!,
      weaknesses: weaknessId,
    };
    const QUERIES: Readonly<Record<string, string>> = {
      '/search': '?q=alva',
      '/flights/older': `?before=${keysIn(API_EXAMPLES[3]!.path)[0]!}`,
      '/pilots/{id}/occurrences': `?before=${nearMissId!}`,
      '/weaknesses/{id}/reps': '?before=2027-01-01T00:00:00.000Z',
    };
    const problems: string[] = [];
    let asked = 0;
    for (const [at, { get }] of Object.entries(document.paths)) {
      // Nobody debriefed or planned a session here.
      if (!get || at === '/sessions/{id}' || at.endsWith('{versionId}')) continue;
      const address = at.replace('{id}', ids[at.split('/')[1]!] ?? '');
      const answer = await ask('GET', address + (QUERIES[at] ?? ''));
      asked += 1;
      const { schema } = get.responses['200']!.content[JSON_TYPE]!;
      expect([address, answer.status]).toEqual([address, 200]);
      problems.push(...wrongWith(document, schema, answer.body).map((each) => `${at} ${each}`));
    }
    expect(problems).toEqual([]);
    expect(asked).toBeGreaterThan(18);
  });

  test('the document is handed out to whoever asks', async () => {
    const response = await fetch(`${server.base}/api/openapi.json`);
    expect([response.status, await response.json()]).toEqual([200, read()]);
  });
});
