import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import type { ImportPage, ImportReport, ImportState } from '@skelby/core/pages/imports';
import type { SchoolTx } from '../db/in-school';
import type { Jobs } from '../db/jobs';
import { recordEvent } from '../facts/events';
import { conflict, notFound } from '../problem/problem';
import { inParts } from '../db/in-parts';

/** Files on their way in: what is known of each, and their bytes until it is over. */

export const FORMATS = ['csv', 'json'] as const;
type ImportFormat = (typeof FORMATS)[number];

export interface ImportRow {
  readonly id: string;
  readonly schoolId: string;
  readonly accountId: string;
  readonly name: string;
  readonly format: ImportFormat;
  readonly saves: boolean;
  readonly state: ImportState;
  readonly bytes: number;
  readonly bytesRead: number;
  readonly rows: number;
  readonly report: ImportReport;
  readonly problem: string | null;
  readonly tries: number;
}

const NOTHING_YET: ImportReport = {
  rows: 0,
  good: 0,
  already: 0,
  bad: 0,
  problems: [],
  newPilots: [],
  saved: false,
};
export const isUnderWay = ({ state }: ImportRow): boolean => state === 'waiting' || state === 'working';
const PART_BYTES = 1024 * 1024;
/** What nobody went on with is thrown away after a day. */
const KEPT = "interval '1 day'";
const MOST_SHOWN = 10;

const pageOf = (row: ImportRow): ImportPage => ({
  id: row.id,
  name: row.name,
  format: row.format,
  state: row.state,
  saves: row.saves,
  share: row.bytes === 0 ? 0 : Math.min(1, row.bytesRead / row.bytes),
  report: row.report,
  problem: row.problem,
});

const there = (row: ImportRow | undefined): ImportRow => {
  if (!row) throw notFound('file on its way in');
  return row;
};

/** For whoever is about to change it: nobody else does until the transaction ends. Undefined where it is gone. */
export const lockImport = ({ tx }: SchoolTx, id: string): Promise<ImportRow | undefined> =>
  tx('imports').where({ id }).forUpdate().first() as Promise<ImportRow | undefined>;

/** How far it is, without waiting for whoever is at work on it. @throws Problem 404 */
export const importPage = async ({ tx }: SchoolTx, id: string): Promise<ImportPage> =>
  pageOf(there((await tx('imports').where({ id }).first()) as ImportRow | undefined));

/** The last files, the newest first. */
export const importPages = async ({ tx }: SchoolTx): Promise<readonly ImportPage[]> =>
  ((await tx('imports').orderBy('made_at', 'desc').limit(MOST_SHOWN)) as ImportRow[]).map(pageOf);

interface Given {
  readonly name: string;
  readonly format: ImportFormat;
}

/**
 * Keeps a file that is here whole, and asks for it to be looked over. Nothing of a file is saved before all of it was
 * looked over: one that breaks off half-way leaves nothing behind.
 */
export async function startImport(
  school: SchoolTx,
  jobs: Jobs,
  { name, format }: Given,
  file: Readable,
): Promise<ImportPage> {
  const { tx, schoolId, accountId } = school;
  await tx('imports').whereRaw(`changed_at < now() - ${KEPT}`).delete();
  const id = randomUUID();
  await tx('imports').insert({
    schoolId,
    id,
    accountId,
    name,
    format,
    saves: false,
    state: 'waiting',
    bytes: 0,
    report: JSON.stringify(NOTHING_YET),
  });
  let [bytes, number] = [0, 0];
  for await (const content of inParts(file, PART_BYTES)) {
    await tx('import_parts').insert({ schoolId, id: randomUUID(), importId: id, number, content });
    bytes += content.length;
    number += 1;
  }
  await tx('imports').where({ id }).update({ bytes });
  await jobs.add(tx, 'imports', { schoolId, id });
  return importPage(school, id);
}

/** What was looked over is brought in now. @throws Problem 409 where it was not looked over, or is on its way */
export async function bringIn(school: SchoolTx, jobs: Jobs, id: string): Promise<ImportPage> {
  const row = there(await lockImport(school, id));
  if (row.saves && (isUnderWay(row) || row.state === 'brought-in')) return pageOf(row);
  if (row.state !== 'looked-over')
    throw conflict('This file is not there to be brought in any more: give it once more.');
  await changed(school, id, { saves: true, state: 'waiting', rows: 0, bytesRead: 0, report: NOTHING_YET });
  await jobs.add(school.tx, 'imports', { schoolId: school.schoolId, id });
  return importPage(school, id);
}

/** Ends it where it stands; what has come in stays. */
export async function stopImport(school: SchoolTx, id: string): Promise<ImportPage> {
  const row = there(await lockImport(school, id));
  if (isUnderWay(row) || row.state === 'looked-over') await over(school, row, { state: 'stopped' });
  return importPage(school, id);
}

export type ImportChange = Partial<
  Pick<ImportRow, 'saves' | 'state' | 'rows' | 'bytesRead' | 'report' | 'problem' | 'tries'>
>;

export const changed = (
  { tx }: SchoolTx,
  id: string,
  { report, ...change }: ImportChange,
): Promise<unknown> =>
  tx('imports')
    .where({ id })
    .update({
      ...change,
      ...(report ? { report: JSON.stringify(report) } : {}),
      changedAt: tx.fn.now(),
    });

/** It is over: its bytes are of no more use, and what has come in, all of it or some, is history. */
export async function over(school: SchoolTx, row: ImportRow, change: ImportChange): Promise<void> {
  await changed(school, row.id, change);
  await school.tx('import_parts').where({ importId: row.id }).delete();
  const { rows, good, already, bad } = change.report ?? row.report;
  if (!row.saves || good === 0) return;
  await recordEvent(school, {
    action: 'imported',
    subject: 'school',
    subjectId: school.schoolId,
    data: { rows, good, already, bad },
  });
}
