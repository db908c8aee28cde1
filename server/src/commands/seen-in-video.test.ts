import { id, occurrence, startTestServer, type TestServer, withOccurrence } from '../testing/test-school';

/** Mistakes marked in a video are kept with the entry, so that they steer its debrief on every phone. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('what was seen in a video stays with its entry, also when an older phone corrects it', async () => {
  const { trainer } = await server.school('Wether Hill');
  const { pilotId } = await withOccurrence(trainer);
  const entryId = id();
  const put = (more: object) => trainer.put(`/occurrences/${entryId}`, occurrence(pilotId, more));
  const read = async () =>
    (await trainer.get<{ seen: string[]; note: string; revision: number }>(`/occurrences/${entryId}`)).body;
  expect((await put({ seen: ['too-fast', 'nose'] })).status).toBe(200);
  expect(await read()).toMatchObject({ seen: ['too-fast', 'nose'], revision: 1 });
  // The same again changes nothing.
  expect((await put({ seen: ['too-fast', 'nose'] })).status).toBe(200);
  expect((await read()).revision).toBe(1);
  expect((await put({ note: 'Told in other words.', basedOn: 1 })).status).toBe(200);
  expect(await read()).toMatchObject({ seen: ['too-fast', 'nose'], note: 'Told in other words.' });
  expect((await put({ seen: [], basedOn: 2 })).status).toBe(200);
  expect((await read()).seen).toEqual([]);
});

test('what is no mistake is refused by name', async () => {
  const { trainer } = await server.school('Tarn Side');
  const { pilotId } = await withOccurrence(trainer);
  const answer = async (seen: unknown) =>
    (
      await trainer.put<{ errors: { field: string }[] }>(
        `/occurrences/${id()}`,
        occurrence(pilotId, { seen }),
      )
    ).body.errors[0]!.field;
  expect(await answer(['upside-down'])).toBe('seen[0]');
  expect(await answer(Array.from({ length: 9 }, () => 'nose'))).toBe('seen');
  expect(await answer('nose')).toBe('seen');
});

test('what a pilot marked and tells by their own link is with the entry that the trainer debriefs', async () => {
  const { trainer } = await server.school('Low Gill');
  const { pilotId } = await withOccurrence(trainer);
  const { token } = (
    await trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/links`, { days: 14 })
  ).body;
  const entryId = id();
  const happenedAt = new Date().toISOString();
  const told = { causeId: 'wildlife', note: 'A kite came.', happenedAt, day: happenedAt.slice(0, 10) };
  const { status } = await server
    .visitor()
    .ask(
      'PUT',
      `/api/own/near-miss/${entryId}`,
      { ...told, seen: ['too-late'] },
      { Authorization: `Bearer ${token}` },
    );
  expect(status).toBe(200);
  expect((await trainer.get(`/occurrences/${entryId}`)).body).toMatchObject({ seen: ['too-late'] });
});
