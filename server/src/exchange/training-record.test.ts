import { readFileSync } from 'node:fs';
import path from 'node:path';
import {
  type TrainingRecord,
  trainingRecordSchema,
  type XapiStatement,
} from '@skelby/core/exchange/training-record';
import { USUAL_COURSE } from '@skelby/core/course/lessons';
import { UUID } from '@skelby/core/vocabulary/key';
import Ajv from 'ajv/dist/2020';
import { ownSchool } from '../testing/own-school';
import { confirmation, CRAFT, id, occurrence, PILOT, SITE } from '../testing/test-school';

/** What a pilot takes along says what was shown, and nothing that was not. */

const at = ownSchool('Travelling School');
const record = async (pilotId: string) =>
  (await at.here.trainer.get<TrainingRecord>(`/pilots/${pilotId}/training-record.json`)).body;
const statements = async (pilotId: string) =>
  (await at.here.trainer.get<readonly XapiStatement[]>(`/pilots/${pilotId}/xapi.json`)).body;

/** A pilot with an open weakness of a cause. */
async function weakness(pilotId: string, causeId: string): Promise<string> {
  const { trainer } = at.here;
  const occurrenceId = id();
  await trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId, { causeId }));
  const { body } = await trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmation({ causeId }),
  );
  return body.weaknessId;
}

/** A move as the rule would have made it, once its tests, days and check were there. */
async function move(
  weaknessId: string,
  kind: string,
  atS: string,
  undoes: string | null = null,
): Promise<string> {
  const { server, schoolId } = at.here;
  const { accountId } = (await server.db('moves').where({ weaknessId }).first('account_id')) as {
    accountId: string;
  };
  const moveId = id();
  await server
    .db('moves')
    .insert({ schoolId, id: moveId, weaknessId, accountId, kind, at: atS, undoes, reason: '' });
  return moveId;
}

async function pilot(): Promise<string> {
  const pilotId = id();
  await at.here.trainer.put(`/pilots/${pilotId}`, PILOT);
  return pilotId;
}

test('a pilot of whom nothing is known has an empty record, which fits the schema', async () => {
  const told = await record(await pilot());
  expect(told).toMatchObject({
    ...{ school: { name: 'Travelling School' }, pilot: { name: PILOT.name }, weaknesses: [] },
    flown: { flights: 0, packs: 0, minutes: 0, firstDay: null, lastDay: null },
    occurrences: { crashes: 0, nearMisses: 0 },
  });
  expect(told.course.length).toBe(8);
  expect(told.course.every(({ shown, shownOn }) => !shown && shownOn === null)).toBe(true);
});

test('flights, occurrences and signatures are told; only a signature with its evidence is “passed” elsewhere', async () => {
  const { trainer } = at.here;
  const [pilotId, craftId, siteId] = [await pilot(), id(), id()];
  await trainer.put(`/craft/${craftId}`, CRAFT);
  await trainer.put(`/sites/${siteId}`, SITE);
  for (const day of ['2026-02-01', '2026-03-01'])
    await trainer.put(`/flights/${id()}`, {
      ...{ pilotId, craftId, siteId, day, packs: 2, minutes: 14, windMps: 2 },
    });
  const [full, early, undone, again, open] = [
    await weakness(pilotId, 'overcontrol'),
    await weakness(pilotId, 'coasting'),
    await weakness(pilotId, 'distraction'),
    await weakness(pilotId, 'height-loss'),
    await weakness(pilotId, 'wrong-stick'),
  ];
  const signedAt = '2026-03-20T10:00:00.000Z';
  const signed = await move(full, 'signed', signedAt);
  await move(early, 'signed-early', signedAt);
  await move(undone, 'undone', '2026-03-21T10:00:00.000Z', await move(undone, 'signed', signedAt));
  await move(again, 'signed', signedAt);
  await move(again, 'reopened', '2026-04-02T10:00:00.000Z');
  const told = await record(pilotId);
  expect(told.flown).toEqual({
    flights: 2,
    packs: 4,
    minutes: 28,
    firstDay: '2026-02-01',
    lastDay: '2026-03-01',
  });
  expect(told.occurrences).toEqual({ crashes: 5, nearMisses: 0 });
  const signatures = Object.fromEntries(told.weaknesses.map((each) => [each.id, each.signed]));
  expect(signatures).toEqual({
    [full]: { id: signed, at: signedAt, by: 'Trainer 1', early: false },
    [early]: expect.objectContaining({ early: true }) as unknown,
    ...{ [undone]: null, [again]: null, [open]: null },
  });
  expect(new Ajv({ strict: false, validateFormats: false }).compile(trainingRecordSchema())(told)).toBe(true);
  const sent = await statements(pilotId);
  expect(sent.map(({ id: statementId, verb, timestamp }) => [statementId, verb.id, timestamp])).toEqual([
    [signed, 'http://adlnet.gov/expapi/verbs/passed', signedAt],
  ]);
  // What the specification asks of every statement (xAPI 1.0.3, Data 2.1 and 2.2), from memory.
  for (const { id: statementId, actor, object, timestamp } of sent) {
    expect(statementId).toMatch(UUID);
    expect([actor.objectType, URL.canParse(actor.account.homePage), actor.account.name]).toEqual([
      'Agent',
      true,
      pilotId,
    ]);
    expect([object.objectType, URL.canParse(object.id)]).toEqual(['Activity', true]);
    expect(Number.isNaN(Date.parse(timestamp))).toBe(false);
  }
});

test('a lesson that was shown is completed, by the same key however often it is asked', async () => {
  const pilotId = await pilot();
  const { id: first, drillIds } = USUAL_COURSE.lessons[0]!;
  for (const drillId of drillIds)
    await at.here.trainer.put(`/pilots/${pilotId}/course/${id()}`, {
      ...{ kind: 'test', drillId, side: null, met: true, missReason: null, flownOn: 'craft', band: 'calm' },
      ...{ factId: null, reason: '', day: '2026-03-05', at: '2026-03-05T10:00:00.000Z' },
    });
  const lesson = (await record(pilotId)).course[0]!;
  const sent = await statements(pilotId);
  expect(lesson).toEqual({ lessonId: first, shown: true, shownOn: '2026-03-05' });
  expect(sent).toHaveLength(1);
  expect(sent[0]).toMatchObject({ verb: { id: 'http://adlnet.gov/expapi/verbs/completed' } });
  expect((await statements(pilotId))[0]!.id).toBe(sent[0]!.id);
});

test('it is in the history that it left, nobody of another school has one, and whoever was forgotten has none', async () => {
  const { server, trainer } = at.here;
  const pilotId = await pilot();
  await record(pilotId);
  const { body } = await trainer.get<{ entries: { reason: string | null }[] }>('/history');
  expect(body.entries.some(({ reason }) => reason === 'training-record.json')).toBe(true);
  const other = await server.school('Next valley');
  expect((await other.trainer.get(`/pilots/${pilotId}/training-record.json`)).status).toBe(404);
  await trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: PILOT.name });
  for (const file of ['training-record.json', 'xapi.json'])
    expect((await trainer.get(`/pilots/${pilotId}/${file}`)).status).toBe(404);
});

test('docs/training-record.schema.json is the schema, and refuses what is not in it', async () => {
  const file = path.join(__dirname, '..', '..', '..', 'docs', 'training-record.schema.json');
  expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(JSON.parse(JSON.stringify(trainingRecordSchema())));
  const fits = new Ajv({ strict: false, validateFormats: false }).compile(trainingRecordSchema());
  const told = await record(await pilot());
  expect(fits(told)).toBe(true);
  expect(fits({ ...told, secret: 1 })).toBe(false);
  expect(fits({ ...told, flown: { ...told.flown, flights: -1 } })).toBe(false);
});
