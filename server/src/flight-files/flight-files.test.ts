import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { Readable } from 'node:stream';
import { keyOfHash } from '@skelby/core/vocabulary/key-of-hash';
import type { FlightFile, FlightFilesPage } from '@skelby/core/pages/flight-files';
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
import { inParts } from '../db/in-parts';

/** Files of recorders: kept whole and packed under the walls of their school, for as long and as much as it keeps. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const keyOf = (file: Buffer): string => keyOfHash(createHash('sha256').update(file).digest());

/** Noise that does not pack. */
function noise(bytes: number, seed = 1): Buffer {
  const out = Buffer.alloc(bytes);
  for (let i = 0, x = seed; i < bytes; i += 1) {
    x = (Math.imul(x, 1_664_525) + 1_013_904_223) >>> 0;
    out[i] = x >>> 24;
  }
  return out;
}

async function send(
  who: Visitor,
  file: Buffer,
  {
    key = keyOf(file),
    packed = gzipSync(file) as Uint8Array,
    asked = '',
    account = '',
    base = who['base' as never] as string,
  } = {},
) {
  const response = await fetch(`${base}/api/flight-files/${key}?name=fell-1.csv${asked}`, {
    method: 'PUT',
    headers: { Origin: base, Cookie: who.cookie, 'Content-Type': 'application/gzip', 'X-Account': account },
    body: new Uint8Array(packed),
  });
  return { status: response.status, body: (await response.json()) as FlightFile & { detail: string } };
}

/** What is taken out again, unpacked by whoever asks. */
async function back(who: Visitor, key: string): Promise<{ status: number; file: Buffer }> {
  const base = who['base' as never] as string;
  const response = await fetch(`${base}/api/flight-files/${key}`, { headers: { Cookie: who.cookie } });
  return { status: response.status, file: Buffer.from(await response.arrayBuffer()) };
}

const [pilotId, entryId, flightId] = [id(), id(), id()];

test('a file of three megabytes is kept in pieces of at most one, comes back byte by byte, and twice is one', async () => {
  const { schoolId, trainer } = await server.school('Keeps Files');
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  const file = noise(3 * 1024 * 1024 + 17);
  expect(await send(trainer, file)).toMatchObject({
    status: 200,
    body: { bytes: file.length, pilotId: null },
  });
  // Given again it learns whose it is; what it knew stays.
  expect((await send(trainer, file, { asked: `&pilot=${pilotId}&flight=${flightId}` })).body).toMatchObject({
    pilotId,
    flightId,
  });
  const parts = (await server.db('flight_file_parts').where({ schoolId }).select('number', 'content')) as {
    number: number;
    content: Buffer;
  }[];
  expect(parts.map(({ number }) => number).sort()).toEqual([0, 1, 2, 3]);
  expect(Math.max(...parts.map(({ content }) => content.length))).toBe(1024 * 1024);
  const again = await back(trainer, keyOf(file));
  expect([again.status, again.file.equals(file)]).toEqual([200, true]);
  const { body } = await trainer.get<FlightFilesPage>('/flight-files');
  expect(body).toMatchObject({ all: 1, months: 24, files: [{ id: keyOf(file), name: 'fell-1.csv' }] });
  expect(body.keptBytes).toBe(parts.reduce((sum, { content }) => sum + content.length, 0));
});

test('no other school sees it, a reader neither brings one in nor takes one out, and a pilot nothing', async () => {
  const one = await server.school('Walled One');
  const two = await server.school('Walled Two');
  const file = noise(5_000, 2);
  await send(one.trainer, file);
  expect((await back(two.trainer, keyOf(file))).status).toBe(404);
  expect((await two.trainer.ask('DELETE', `/api/flight-files/${keyOf(file)}`)).status).toBe(404);
  expect((await two.trainer.get<FlightFilesPage>('/flight-files')).body.files).toEqual([]);
  const reader = await server.school('Read Only');
  await server.db('accounts').where({ email: reader.email }).update({ role: 'reader' });
  expect((await send(reader.trainer, file)).status).toBe(403);
  expect((await back(reader.trainer, keyOf(file))).status).toBe(403);
  expect((await send(server.visitor(), file)).status).toBe(401);
  // Kept by one, and another is signed in on that phone since.
  const { accountId } = (await one.trainer.get<{ accountId: string }>('/me')).body;
  expect((await send(two.trainer, file, { account: accountId })).status).toBe(401);
  expect(await server.db('flight_files').where({ schoolId: two.schoolId })).toEqual([]);
  expect((await one.trainer.ask('DELETE', `/api/flight-files/${keyOf(file)}`)).status).toBe(204);
  expect((await back(one.trainer, keyOf(file))).status).toBe(404);
});

test('what is no gzip, is cut short, is another file than its key says, or unpacks too far is refused and leaves nothing', async () => {
  const { schoolId, trainer } = await server.school('Given Rubbish');
  const file = noise(200_000, 3);
  const packed = gzipSync(file);
  const key = keyOf(file);
  const refused = [
    await send(trainer, file, { packed: file }),
    await send(trainer, file, { packed: packed.subarray(0, packed.length - 900) }),
    await send(trainer, file, { packed: Buffer.alloc(0) }),
    await send(trainer, file, { packed: gzipSync(noise(100, 4)) }),
    await send(trainer, file, { asked: '&pilot=nobody' }),
    await send(trainer, file, { asked: `&pilot=${id()}` }),
  ];
  expect(refused.map(({ status }) => status)).toEqual([422, 422, 422, 422, 422, 409]);
  for (const { body } of refused) expect(body.detail).toMatch(/:/);
  // 200 MB of nothing in 200 kB.
  const bomb = await send(trainer, file, {
    packed: gzipSync(Buffer.alloc(200 * 1024 * 1024), { level: 9 }),
    key,
  });
  expect([bomb.status, bomb.body.detail]).toEqual([413, expect.stringMatching(/150 MB: cut out/)]);
  expect((await trainer.ask('PUT', '/api/flight-files/no-key', '')).status).toBe(404);
  expect(await server.db('flight_files').where({ schoolId })).toEqual([]);
  expect(await server.db('flight_file_parts').where({ schoolId })).toEqual([]);
});

test('a school keeps so much and no more, and for so many months', async () => {
  const { schoolId, email, trainer } = await server.school('Full Of Files');
  const small = await server.another(0, { flightBytes: 300_000 });
  const [first, second] = [noise(200_000, 5), noise(200_000, 6)];
  expect((await send(trainer, first, { base: small })).status).toBe(200);
  const full = await send(trainer, second, { base: small });
  expect([full.status, full.body.detail]).toEqual([
    413,
    expect.stringMatching(/no room for another: take some out/),
  ]);
  expect(await server.db('flight_files').where({ schoolId })).toHaveLength(1);
  // Once the first is old enough it goes by itself.
  expect((await trainer.put('/school/retention', { keepYears: null, flightMonths: 6 })).status).toBe(200);
  expect((await trainer.put('/school/retention', { keepYears: 3 })).status).toBe(200);
  expect((await trainer.get<FlightFilesPage>('/flight-files')).body.months).toBe(6);
  await server
    .db('flight_files')
    .where({ schoolId })
    .update({ madeAt: server.db.raw("now() - interval '7 months'") });
  expect((await send(trainer, second, { base: small })).status).toBe(200);
  expect((await trainer.get<FlightFilesPage>('/flight-files')).body.files).toMatchObject([
    { id: keyOf(second) },
  ]);
  expect(email).toContain('@');
});

test('what a flight answers stands beside its entry, on any phone; told again nothing changes; a later reading replaces it', async () => {
  const { schoolId, trainer } = await server.school('Flown And Told');
  await trainer.put(`/pilots/${pilotId}`, PILOT);
  await trainer.put(`/occurrences/${entryId}`, occurrence(pilotId));
  const flown = {
    name: 'fell-1.csv',
    fileId: null,
    atS: 83.4,
    readers: 1,
    evidence: { nose: 'toward', speed_mps: { value: 4.2, within: 0.4 } },
  };
  const put = (body: object) => trainer.put(`/occurrences/${entryId}/flown`, body);
  const seen = async () =>
    (await trainer.get<{ flown: object; revision: number }>(`/occurrences/${entryId}`)).body;
  expect((await put(flown)).status).toBe(200);
  const { flown: kept, revision } = await seen();
  expect(kept).toEqual(flown);
  const events = async () =>
    Number((await server.db('events').where({ schoolId }).count('* as n').first())!['n']);
  const before = await events();
  expect((await put(flown)).status).toBe(200);
  expect(await events()).toBe(before);
  expect((await put({ ...flown, readers: 2, evidence: { nose: 'away' } })).status).toBe(200);
  // The entry is as it was for whoever edits it meanwhile.
  expect(await seen()).toMatchObject({ revision, flown: { readers: 2, evidence: { nose: 'away' } } });
  expect((await put({ ...flown, evidence: { nose: 'up' } })).status).toBe(422);
  expect((await put({ ...flown, name: '' })).status).toBe(422);
  expect((await trainer.put(`/occurrences/${id()}/flown`, flown)).status).toBe(404);
});

test('a pilot who is forgotten takes the files along, and the name out of what a flight answers', async () => {
  const { schoolId, trainer } = await server.school('Forgets Flights');
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: 'Ines Calder' });
  await trainer.put(`/occurrences/${entryId}`, occurrence(pilotId));
  const file = Buffer.from('<gpx><trk><name>Ines Calder</name></trk></gpx>');
  await send(trainer, file, { asked: `&pilot=${pilotId}` });
  const flown = { name: 'Ines Calder 1.csv', fileId: keyOf(file), atS: 1, readers: 1, evidence: {} };
  await trainer.put(`/occurrences/${entryId}/flown`, flown);
  expect((await trainer.ask('POST', `/api/pilots/${pilotId}/forget`, { name: 'Ines Calder' })).status).toBe(
    200,
  );
  expect(await server.db('flight_files').where({ schoolId })).toEqual([]);
  expect(await server.db('flight_file_parts').where({ schoolId })).toEqual([]);
  const { flown: left } = (await server.db('occurrences').where({ schoolId }).first('flown')) as {
    flown: object;
  };
  expect(JSON.stringify(left)).not.toMatch(/Ines/);
});

test('pieces are all of one size but the last, whatever they come in', async () => {
  for (const sizes of [[1], [10, 10], [7, 7, 7], [30], [3, 27, 1]]) {
    const whole = noise(
      sizes.reduce((sum, each) => sum + each, 0),
      8,
    );
    let from = 0;
    const chunks = sizes.map((size) => whole.subarray(from, (from += size)));
    const parts: Buffer[] = [];
    for await (const part of inParts(Readable.from(chunks), 10)) parts.push(part);
    expect(Buffer.concat(parts).equals(whole)).toBe(true);
    expect(parts.slice(0, -1).every(({ length }) => length === 10)).toBe(true);
    expect(parts.at(-1)!.length).toBeLessThanOrEqual(10);
  }
});

test('a file that came without a pilot goes with the one whose flight or entry it is, whichever came first', async () => {
  const { schoolId, trainer } = await server.school('Claims Files');
  const [pilot, craft, site, flight, entry] = [id(), id(), id(), id(), id()];
  await trainer.put(`/pilots/${pilot}`, PILOT);
  await trainer.put(`/craft/${craft}`, CRAFT);
  await trainer.put(`/sites/${site}`, SITE);
  const [ofFlight, ofEntry, ofNobody] = [noise(900, 21), noise(900, 22), noise(900, 23)];
  await send(trainer, ofFlight, { asked: `&flight=${flight}` });
  await send(trainer, ofEntry);
  await send(trainer, ofNobody);
  await trainer.put(`/flights/${flight}`, {
    ...{ pilotId: pilot, craftId: craft, siteId: site, day: '2026-03-02' },
    ...{ packs: 1, minutes: 4, windMps: 1 },
  });
  await trainer.put(`/occurrences/${entry}`, occurrence(pilot));
  const flown = { name: 'a.csv', fileId: keyOf(ofEntry), atS: 1, readers: 1, evidence: {} };
  await trainer.put(`/occurrences/${entry}/flown`, flown);
  const everything = (await trainer.get<{ flight_files: object[] }>(`/pilots/${pilot}/everything.json`)).body;
  expect(JSON.stringify(everything)).toContain(keyOf(ofFlight));
  expect(JSON.stringify(everything)).toContain(keyOf(ofEntry));
  expect((await trainer.ask('POST', `/api/pilots/${pilot}/forget`, { name: PILOT.name })).status).toBe(200);
  const left = (await server.db('flight_files').where({ schoolId }).pluck('id')) as string[];
  expect(left).toEqual([keyOf(ofNobody)]);
});
