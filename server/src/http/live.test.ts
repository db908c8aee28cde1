import { id, PILOT, type Visitor } from '../testing/test-school';
import { ownSchool } from '../testing/own-school';

/** Whoever looks at a page hears that something changed; what changed is read as always, behind the walls. */

const school = ownSchool('Live School');

interface Stream {
  /** Everything that came, as it came. */
  readonly heard: () => string;
  /** How often a change was told. */
  readonly told: () => number;
  readonly ended: Promise<void>;
  readonly close: () => void;
}

async function listen(base: string, { cookie }: Pick<Visitor, 'cookie'>): Promise<Stream> {
  const stop = new AbortController();
  const response = await fetch(`${base}/api/live`, { headers: { Cookie: cookie }, signal: stop.signal });
  expect([response.status, response.headers.get('Content-Type')]).toEqual([
    200,
    expect.stringMatching(/^text.event-stream/),
  ]);
  let text = '';
  const ended = (async () => {
    const decoder = new TextDecoder();
    for await (const part of response.body!) text += decoder.decode(part as Uint8Array);
  })().catch(() => undefined);
  return {
    heard: () => text,
    told: () => text.split('event: changed').length - 1,
    ended,
    close: () => stop.abort(),
  };
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
async function until(so: () => boolean): Promise<void> {
  for (let tries = 0; !so() && tries < 60; tries += 1) await pause(50);
  expect(so()).toBe(true);
}
const enters = (visitor: Visitor) => visitor.put(`/pilots/${id()}`, PILOT);

test('a colleague hears of an entry, on another server too; who entered it, and another school, do not', async () => {
  const { server, trainer, schoolId } = school.here;
  const colleague = await server.colleague(schoolId);
  const other = await server.school('Another School');
  const streams = {
    own: await listen(server.base, trainer),
    colleague: await listen(server.base, colleague),
    elsewhere: await listen(await server.another(), colleague),
    other: await listen(server.base, other.trainer),
  };
  expect((await enters(trainer)).status).toBe(200);
  await until(() => streams.colleague.told() === 1 && streams.elsewhere.told() === 1);
  await pause(300);
  expect([streams.own.told(), streams.other.told()]).toEqual([0, 0]);
  // Nothing of what was entered is in it.
  expect(streams.colleague.heard()).not.toContain(PILOT.name);
  for (const stream of Object.values(streams)) stream.close();
});

test('of many entries in a second one is told, and the last is never left untold', async () => {
  const { server, trainer, schoolId } = school.here;
  const stream = await listen(server.base, await server.colleague(schoolId));
  const began = Date.now();
  for (let i = 0; i < 30; i += 1) await enters(trainer);
  const lasted = Date.now() - began;
  await pause(1_300);
  const told = stream.told();
  expect(told).toBeGreaterThanOrEqual(1);
  expect(told).toBeLessThanOrEqual(2 + Math.ceil(lasted / 1000));
  stream.close();
});

test('what is refused, only read, or worked out changes nothing and is not told', async () => {
  const { server, trainer, schoolId } = school.here;
  await pause(1_200);
  const stream = await listen(server.base, await server.colleague(schoolId));
  expect((await trainer.put(`/pilots/${id()}`, { ...PILOT, name: '' })).status).toBe(422);
  await trainer.get('/today');
  await trainer.ask('POST', '/api/v1/rank', { evidence: {} });
  await pause(400);
  expect(stream.told()).toBe(0);
  stream.close();
});

test('it is open to who is signed in, and to them for a few streams', async () => {
  const { server, schoolId } = school.here;
  expect((await server.visitor().get('/live')).status).toBe(401);
  const colleague = await server.colleague(schoolId);
  const first = await listen(server.base, colleague);
  const more = await Promise.all(Array.from({ length: 6 }, () => listen(server.base, colleague)));
  await first.ended;
  for (const stream of more) stream.close();
});

test('a pilot who tells something by the private link is heard of as well', async () => {
  const { server, trainer, schoolId } = school.here;
  const pilotId = id();
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  const link = await trainer.ask<{ token: string }>('POST', `/api/pilots/${pilotId}/links`, { days: 5 });
  await pause(1_200);
  const stream = await listen(server.base, await server.colleague(schoolId));
  await server.visitor().ask(
    'PUT',
    `/api/own/near-miss/${id()}`,
    {
      causeId: 'overcontrol',
      note: 'It came close.',
      happenedAt: new Date().toISOString(),
      day: new Date().toISOString().slice(0, 10),
    },
    { Authorization: `Bearer ${link.body.token}` },
  );
  await until(() => stream.told() === 1);
  stream.close();
});

test('while the database drops its listener nothing is lost: whoever listens is told once it is back', async () => {
  const { server, schoolId } = school.here;
  await pause(1_200);
  const stream = await listen(server.base, await server.colleague(schoolId));
  await server.db.raw(`select pg_terminate_backend(pid) from pg_stat_activity
    where datname = current_database() and query ilike 'listen%'`);
  await until(() => stream.told() >= 1);
  stream.close();
});
