import type { CauseId } from '@skelby/core/causes/causes';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import Ajv from 'ajv/dist/2020';
import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import { occurrencesSchema } from '@skelby/core/exchange/json-schema';
import { columnMeaning, SCHEMA_WORDS } from '@skelby/copy/columns';
import { COLUMNS } from '@skelby/core/exchange/occurrence-record';
import {
  CRAFT,
  id,
  occurrence,
  PILOT,
  SITE,
  startTestServer,
  type TestServer,
  type Visitor,
} from '../testing/test-school';

/** Occurrences out as a file and in again. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const DOCS = path.join(__dirname, '..', '..', '..', 'docs');

interface Report {
  rows: number;
  good: number;
  already: number;
  bad: number;
  problems: { line: number; column: string; message: string }[];
  newPilots: string[];
  saved: boolean;
  detail: string;
}

const bring = async (who: Visitor, file: string, format: 'csv' | 'json', save: 'nothing' | 'good') =>
  who.ask<Report>('POST', `/api/imports/occurrences?format=${format}&save=${save}`, file, {
    'Content-Type': 'application/octet-stream',
  });
const file = async (who: Visitor, format: 'csv' | 'json') => who.raw(`/api/occurrences.${format}`);

/** A school with three occurrences, one of them debriefed to the last field. */
async function withHistory(who: Visitor): Promise<void> {
  const [pilotId, craftId, siteId, first, second, third] = [id(), id(), id(), id(), id(), id()];
  await who.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Åse "Windy" Dahl, jr' });
  await who.put(`/craft/${craftId}`, CRAFT);
  await who.put(`/sites/${siteId}`, SITE);
  await who.put(
    `/occurrences/${first}`,
    occurrence(pilotId, {
      craftId,
      siteId,
      windMps: 2.5,
      note: 'First line,\nsecond "line"; =SUM(A1) inside',
    }),
  );
  await who.put(`/occurrences/${second}`, occurrence(pilotId, { note: '=HYPERLINK("x")' }));
  await who.put(`/occurrences/${third}`, occurrence(pilotId, { note: "'quoted" }));
  await who.put(`/occurrences/${third}/withdrawn`, { reason: 'Logged twice.' });
  const findings = {
    ...NO_FINDINGS,
    evidence: {
      nose: 190,
      phase: 'landing',
      speed_mps: { value: 4, within: 1 },
      battery_pct: 40,
      first_move: 'opposite',
    },
    ownPick: 'overcontrol',
    primary: 'overcontrol',
    contributing: ['distraction', 'wildlife'],
    overruleReason: 'I stood beside it.',
    actual: 'minor',
    potential: 'hazardous',
    likelihood: 'possible',
    damage: ['Camera', 'Left arm, cracked'],
    injury: 'none',
    thirdParty: true,
    wentWell: '- Cut the motors at once.',
    nameWithheld: true,
    chain: [
      { words: 'A walker, "hello"', causeId: 'distraction', breakable: false },
      { words: 'Over-control', causeId: 'overcontrol', breakable: true },
    ],
  };
  const { status } = await who.put(`/occurrences/${first}/debrief/${id()}`, {
    base: 0,
    state: 'closed',
    reason: '',
    at: '2026-03-02T10:00:00.000Z',
    weaknessId: id(),
    moveId: id(),
    undoId: id(),
    planId: id(),
    findings,
  });
  expect(status).toBe(200);
}

describe.each(['csv', 'json'] as const)('%s', (format) => {
  test('out, in to another school, and out again is the same file to the letter', async () => {
    const [{ trainer: one }, { trainer: other }] = [await server.school('One'), await server.school('Other')];
    await withHistory(one);
    await other.put(`/craft/${id()}`, CRAFT);
    await other.put(`/sites/${id()}`, SITE);
    const before = await file(one, format);
    const checked = await bring(other, before, format, 'nothing');
    expect(checked.body).toMatchObject({
      rows: 3,
      good: 3,
      bad: 0,
      saved: false,
      newPilots: ['Åse "Windy" Dahl, jr'],
    });
    expect((await other.get<{ pilots: unknown[] }>('/roster')).body.pilots).toEqual([]);
    expect((await bring(other, before, format, 'good')).body).toMatchObject({ good: 3, saved: true });
    expect(await file(other, format)).toBe(before);
    expect((await bring(other, before, format, 'good')).body).toMatchObject({
      good: 0,
      already: 3,
      saved: false,
    });
  });
});

test('a confirmed cause from elsewhere opens no weakness by itself, and can be confirmed here', async () => {
  const [{ trainer: one }, { trainer: other }] = [await server.school('From'), await server.school('To')];
  await withHistory(one);
  await other.put(`/craft/${id()}`, CRAFT);
  await other.put(`/sites/${id()}`, SITE);
  await bring(other, await file(one, 'csv'), 'csv', 'good');
  const {
    body: { pilots },
  } = await other.get<{ pilots: { id: string }[] }>('/roster');
  const { body: page } = await other.get<{
    weaknesses: unknown[];
    occurrences: { id: string; confirmedCauseId: CauseId | null }[];
  }>(`/pilots/${pilots[0]!.id}`);
  expect(page.weaknesses).toEqual([]);
  const confirmed = page.occurrences.find((each) => each.confirmedCauseId === 'overcontrol')!;
  const answer = await other.put<{ weaknessId: string }>(`/occurrences/${confirmed.id}/confirmation`, {
    causeId: 'overcontrol',
    weaknessId: id(),
    moveId: id(),
    planId: id(),
    at: '2026-03-03T09:00:00.000Z',
  });
  expect(answer.status).toBe(200);
});

test('entries without keys get their own, and what a file leaves out is as usual', async () => {
  const { trainer } = await server.school('Sparse');
  const entry = {
    pilot: 'Nils',
    kind: 'crash',
    day: '2026-03-02',
    happenedAt: '2026-03-02T09:00:00.000Z',
    causeId: 'overcontrol',
  };
  const sparse = JSON.stringify({
    format: 'skelby-occurrences',
    version: 1,
    occurrences: [entry, { ...entry, debrief: { state: 'open', evidence: { wildlife: 'near' } } }],
  });
  expect((await bring(trainer, sparse, 'json', 'good')).body).toMatchObject({
    good: 2,
    bad: 0,
    newPilots: ['Nils'],
  });
  const { occurrences } = JSON.parse(await file(trainer, 'json')) as {
    occurrences: { debrief: object | null }[];
  };
  expect(occurrences.map((each) => each.debrief).filter(Boolean)).toEqual([
    { ...NO_FINDINGS, state: 'open', evidence: { wildlife: 'near' } },
  ]);
});

describe('a bad row is told by line and column, and the rest waits until it is asked for', () => {
  const HEAD = 'pilot,kind,day,happened_at,logged_cause,note,craft,nose,speed_mps';
  const GOOD = 'Nils,crash,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,"two\nlines",,190,4±1';
  const report = async (...lines: string[]) =>
    (await bring((await server.school('Rows')).trainer, [HEAD, ...lines, ''].join('\r\n'), 'csv', 'nothing'))
      .body;

  test.each([
    [
      'Nils,bump,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,,,,',
      'kind',
      'kind must be one of crash, near-miss',
    ],
    [
      'Nils,crash,2026-02-30,2026-03-02T09:00:00.000Z,overcontrol,,,,',
      'day',
      'day must be a day written YYYY-MM-DD',
    ],
    [
      'Nils,crash,2026-03-02,2026-03-02T09:00:00.000Z,tree,,,,',
      'logged_cause',
      'logged_cause is not a known cause',
    ],
    [
      'Nils,crash,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,,Kite 9,,',
      'craft',
      'There is no craft "Kite 9"',
    ],
    ['Nils,crash,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,,,up,', 'nose', 'nose must be one of away'],
    [
      'Nils,crash,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,,,,fast',
      'speed_mps',
      'speed_mps is not a number',
    ],
    [
      'Nils,crash,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,,,,900',
      'speed_mps',
      'speed_mps must lie from 0 to 60 m/s',
    ],
    ['Nils,crash,2026-03-02', '', 'The line has 3 cells and the header 9'],
    [
      'Nils,crash,2036-03-02,2036-03-02T09:00:00.000Z,overcontrol,,,,',
      'happened_at',
      'Time lies more than a day ahead',
    ],
  ])('%s', async (line, column, message) => {
    const { rows, good, bad, problems } = await report(GOOD, line, GOOD);
    expect({ rows, good, bad }).toEqual({ rows: 3, good: 2, bad: 1 });
    // The good line above takes two lines of the file.
    expect(problems).toEqual([{ line: 4, column, message: expect.stringContaining(message) }]);
  });

  test('the good ones come in when asked for; a file that fails half-way leaves nothing behind', async () => {
    const { trainer } = await server.school('Half');
    const csv = [HEAD, GOOD, 'Nils,bump,2026-03-02,2026-03-02T09:00:00.000Z,overcontrol,,,,', ''].join(
      '\r\n',
    );
    expect((await bring(trainer, csv, 'csv', 'good')).body).toMatchObject({
      good: 1,
      bad: 1,
      saved: true,
      newPilots: ['Nils'],
    });
    const broken = [HEAD, ...Array.from({ length: 600 }, () => GOOD), 'Nils,"crash', ''].join('\r\n');
    const answer = await bring(trainer, broken, 'csv', 'good');
    expect([answer.status, answer.body.detail]).toEqual([
      422,
      expect.stringContaining('cannot be read as CSV'),
    ]);
    expect(JSON.parse(await file(trainer, 'json')).occurrences).toHaveLength(1);
  });

  test.each([
    ['', 'The file is empty'],
    ['pilot,kind\r\n', 'Column "day" is missing'],
    [`${HEAD},colour\r\n`, 'There is no column "colour"'],
    [`${HEAD},nose\r\n`, 'Column "nose" stands there twice'],
  ])('a header %j is refused', async (csv, message) => {
    const { status, body } = await bring((await server.school('Head')).trainer, csv, 'csv', 'nothing');
    expect([status, body.detail]).toEqual([422, expect.stringContaining(message)]);
  });

  test.each([
    ['{"occurrences":[{"pilot":', 'cannot be read as JSON'],
    ['{"flights":[]}', 'has no list "occurrences"'],
  ])('JSON %j is refused', async (json, message) => {
    const { status, body } = await bring((await server.school('Json')).trainer, json, 'json', 'nothing');
    expect([status, body.detail]).toEqual([422, expect.stringContaining(message)]);
  });
});

describe('documented', () => {
  test('docs/occurrences.schema.json is the schema, and what goes out fits it (ajv)', async () => {
    expect(JSON.parse(readFileSync(path.join(DOCS, 'occurrences.schema.json'), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(occurrencesSchema(SCHEMA_WORDS))),
    );
    const { trainer } = await server.school('Schema');
    await withHistory(trainer);
    const fits = new Ajv({ strict: false }).compile(occurrencesSchema(SCHEMA_WORDS));
    const out = JSON.parse(await file(trainer, 'json')) as {
      occurrences: { debrief: { evidence: Record<string, unknown> } | null }[];
    };
    expect(fits(out)).toBe(true);
    out.occurrences.find((each) => each.debrief)!.debrief!.evidence['colour'] = 'red';
    expect(fits(out)).toBe(false);
  });

  test('docs/occurrences.md lists every column', () => {
    const text = readFileSync(path.join(DOCS, 'occurrences.md'), 'utf8').replace(/ +/g, ' ');
    expect(
      COLUMNS.filter(
        (name) => !text.includes(`| \`${name}\` | ${columnMeaning(name).replaceAll('|', '\\|')} |`),
      ),
    ).toEqual([]);
  });
});
