import { execFile } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import type { TrainingRecord } from '@skelby/core/exchange/training-record';
import { USUAL_COURSE } from '@skelby/core/course/lessons';
import { Certificate, ContentInfo, SignedData } from 'pkijs';
import { ownSchool } from '../testing/own-school';
import { confirmation, id, occurrence, PILOT, rep } from '../testing/test-school';

/** A record on paper can be checked by whoever it is shown to, with nothing of ours. */

const at = ownSchool('Signing School Çelebi');
const SEEN = ['ground', 'first-hands'];

async function pdfOf(address: string): Promise<Buffer> {
  const answer = await at.here.trainer.file(`/api${address}`);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf']);
  return Buffer.from(await answer.arrayBuffer());
}

interface ReadPdf {
  readonly pages: number;
  readonly text: string;
  readonly attached: Readonly<Record<string, string>>;
}

/** What another author's reader sees in it. */
async function readBack(pdf: Buffer) {
  const folder = mkdtempSync(path.join(tmpdir(), 'record-'));
  try {
    const file = path.join(folder, 'record.pdf');
    writeFileSync(file, pdf);
    const reader = fileURLToPath(new URL('../testing/read-pdf.ts', import.meta.url));
    const { stdout } = await run(process.execPath, ['--import', 'tsx', reader, file]);
    const { text, pages, attached } = JSON.parse(stdout) as ReadPdf;
    return { text, pages, record: JSON.parse(attached['training-record.json']!) as TrainingRecord };
  } finally {
    rmSync(folder, { recursive: true });
  }
}
const run = promisify(execFile);

/** Whether the signature holds, by another author's library; over every byte but its own. */
async function holds(pdf: Buffer, certificate: string): Promise<boolean> {
  const source = pdf.toString('latin1');
  const range = /\/ByteRange\s*\[\s*(\d+) (\d+) (\d+) (\d+)/.exec(source)!.slice(1).map(Number);
  const [from, before, after, rest] = range as [number, number, number, number];
  if (from !== 0 || after + rest !== pdf.length) return false;
  const content = Buffer.concat([pdf.subarray(from, before), pdf.subarray(after, after + rest)]);
  const der = Buffer.from(source.slice(before + 1, after - 1), 'hex');
  const signed = new SignedData({ schema: ContentInfo.fromBER(bytesOf(der)).content as never });
  const trusted = Certificate.fromBER(bytesOf(new X509Certificate(certificate).raw));
  try {
    return await signed.verify({
      signer: 0,
      data: bytesOf(content),
      trustedCerts: [trusted],
      checkChain: true,
    });
  } catch (error) {
    // Thrown for a chain that leads elsewhere, and for what is no signature any more.
    expect(String(error)).toMatch(/SignedDataVerifyError|signer's certificate|Object's schema/);
    return false;
  }
}
const bytesOf = (buffer: Buffer): ArrayBuffer => new Uint8Array(buffer).buffer;

const certificate = async () => (await at.here.trainer.file('/api/school/certificate.pem')).text();

async function pilot(name = PILOT.name): Promise<string> {
  const pilotId = id();
  await at.here.trainer.put(`/pilots/${pilotId}`, { ...PILOT, name });
  return pilotId;
}

async function weakness(pilotId: string): Promise<string> {
  const occurrenceId = id();
  await at.here.trainer.put(`/occurrences/${occurrenceId}`, occurrence(pilotId));
  const { body } = await at.here.trainer.put<{ weaknessId: string }>(
    `/occurrences/${occurrenceId}/confirmation`,
    confirmation(),
  );
  return body.weaknessId;
}

async function signed(weaknessId: string, kind: 'signed' | 'signed-early'): Promise<void> {
  const { server, schoolId } = at.here;
  const { accountId } = (await server.db('moves').where({ weaknessId }).first('account_id')) as {
    accountId: string;
  };
  await server.db('moves').insert({
    ...{ schoolId, id: id(), weaknessId, accountId, kind, at: '2026-04-02T10:00:00.000Z', reason: 'Known' },
  });
}

test('the whole record says what the open one says, to whatever name, and its signature holds', async () => {
  const pilotId = await pilot('Žofie Дарья O’Ångström');
  await weakness(pilotId);
  const pdf = await pdfOf(`/pilots/${pilotId}/training-record.pdf`);
  const { text, record } = await readBack(pdf);
  expect(text).toContain('Training record: Žofie Дарья O’Ångström');
  expect(text).toContain('Signing School Çelebi');
  const { body } = await at.here.trainer.get<TrainingRecord>(`/pilots/${pilotId}/training-record.json`);
  expect({ ...record, madeAt: '' }).toEqual({ ...body, madeAt: '' });
  const pem = await certificate();
  expect(text.replace(/ /g, '')).toContain(new X509Certificate(pem).fingerprint256);
  expect(await holds(pdf, pem)).toBe(true);
});

test('one letter changed anywhere, and it does not hold; nor does it for another school', async () => {
  const pilotId = await pilot();
  const pdf = await pdfOf(`/pilots/${pilotId}/training-record.pdf`);
  const pem = await certificate();
  const range = /\/ByteRange\s*\[\s*(\d+) (\d+) (\d+) (\d+)/
    .exec(pdf.toString('latin1'))!
    .slice(1)
    .map(Number);
  const places = [700, Math.floor(range[1]! / 2), range[1]! - 40, range[2]! + 20];
  for (const place of places) {
    const changed = Buffer.from(pdf);
    changed[place]! ^= 1;
    expect([place, await holds(changed, pem)]).toEqual([place, false]);
  }
  const other = await at.here.server.school('Another Signer');
  const theirs = await (await other.trainer.file('/api/school/certificate.pem')).text();
  expect(theirs).not.toBe(pem);
  expect(await holds(pdf, theirs)).toBe(false);
  expect((await other.trainer.file(`/api/pilots/${pilotId}/training-record.pdf`)).status).toBe(404);
});

test('a weakness leaves as cleared once it is signed by the rule: not before, and not where it was early', async () => {
  const { trainer } = at.here;
  const pilotId = await pilot();
  const weaknessId = await weakness(pilotId);
  const status = async () => (await trainer.file(`/api/weaknesses/${weaknessId}/cleared.pdf`)).status;
  expect(await status()).toBe(409);
  await trainer.put(`/reps/${id()}`, rep(weaknessId, { drillId: 'tail-in-hover' }));
  await signed(weaknessId, 'signed');
  const { text, record } = await readBack(await pdfOf(`/weaknesses/${weaknessId}/cleared.pdf`));
  expect(text).toContain('Test attempts at the standard: 1 of 1 met. Days on which they were flown: 1.');
  expect(text).toMatch(/misses 40 % is let through a chart at most 10 times in 100/);
  expect(record.weaknesses.map((each) => each.id)).toEqual([weaknessId]);
  const early = await weakness(await pilot());
  await signed(early, 'signed-early');
  expect((await trainer.file(`/api/weaknesses/${early}/cleared.pdf`)).status).toBe(409);
  expect((await trainer.file(`/api/weaknesses/${id()}/cleared.pdf`)).status).toBe(404);
});

test('a course leaves once every lesson is shown, and says how many are not', async () => {
  const { trainer } = at.here;
  const pilotId = await pilot();
  const show = async (drillId: string) =>
    trainer.put(`/pilots/${pilotId}/course/${id()}`, {
      ...{ kind: 'shown', drillId, side: null, met: true, missReason: null, flownOn: 'craft', band: 'calm' },
      ...{ factId: null, reason: 'Seen at the club', day: '2026-03-02', at: '2026-03-02T09:30:00.000Z' },
    });
  for (const lesson of USUAL_COURSE.lessons.filter((each) => SEEN.includes(each.id)))
    for (const drillId of lesson.drillIds) await show(drillId);
  const refused = await trainer.get<{ title: string; detail?: string }>(`/pilots/${pilotId}/course.pdf`);
  expect(refused.status).toBe(409);
  expect(JSON.stringify(refused.body)).toContain('6 of 8 lessons are not shown yet');
  for (const { drillIds } of USUAL_COURSE.lessons) for (const drillId of drillIds) await show(drillId);
  const { text } = await readBack(await pdfOf(`/pilots/${pilotId}/course.pdf`));
  expect(text).toContain('Course shown');
  expect(text).toContain('Shown 2 March 2026');
});

test('two that ask first at the same time are signed by one key, and forty weaknesses go on over pages', async () => {
  const other = await at.here.server.school('Twice At Once');
  const pems = await Promise.all(
    [1, 2, 3].map(async () => (await other.trainer.file('/api/school/certificate.pem')).text()),
  );
  expect(new Set(pems).size).toBe(1);
  const { sheetPdf } = await import('./sheet-pdf');
  const rows = Array.from({ length: 80 }, (_, nth) => ({
    what: `Weakness ${nth}`,
    says: 'Closed. '.repeat((nth % 9) + 1),
  }));
  const pdf = await sheetPdf(
    { title: 'Long', under: '', parts: [{ heading: 'Found', rows }], foot: ['End'] },
    { name: 'training-record.json', content: '{}', description: '' },
    new Date(),
  );
  const { text, pages } = await readBack(pdf);
  expect(pages).toBeGreaterThan(1);
  for (const { what } of rows) expect(text).toContain(what);
});

test('every file that leaves stands in the history, with whose it is', async () => {
  const pilotId = await pilot();
  await pdfOf(`/pilots/${pilotId}/training-record.pdf`);
  const { rows } = (await at.here.server.db.raw(
    "select reason from events where action = 'exported' and pilot_id = ?",
    [pilotId],
  )) as { rows: { reason: string }[] };
  expect(rows).toEqual([{ reason: 'training-record.pdf' }]);
});
