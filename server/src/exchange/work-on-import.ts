import { Readable } from 'node:stream';
import type { ImportReport } from '@skelby/core/pages/imports';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import type { Changes } from '../db/changes';
import { inSchool, type SchoolTx } from '../db/in-school';
import type { Job, Jobs, PieceEnd } from '../db/jobs';
import { OUR_MISTAKE, passesByItself, Problem } from '../problem/problem';
import { type CheckedEntry, EntryCheck, type GoodRow, type Known, knownIn } from './check-entries';
import { changed, isUnderWay, type ImportRow, lockImport, over } from './imports';
import { type ImportedEntry, readCsv, readJson } from './read-file';
import { freshAmong, saveRows } from './save-entries';

/** Works on a file that is brought in, some hundred entries at a time, each with its own transaction. */

const READERS = { csv: readCsv, json: readJson } as const;
const AT_ONCE = 250;
const MOST_PROBLEMS = 200;
/** Longer than this nobody works on one file without going to the end of the queue. */
const PIECE_MS = 30_000;
/** After so many mistakes of ours it is given up. */
const MOST_TRIES = 3;

export interface ImportWork {
  readonly files: Knex;
  readonly log: Logger;
  /** Whether the server takes no more. */
  readonly isStopping: () => boolean;
}

/** Takes up the work on files that are brought in. */
export const workOnImports = (
  jobs: Jobs,
  { changes, ...work }: ImportWork & { readonly changes: Pick<Changes, 'tell'> },
): Promise<void> =>
  jobs.work('imports', async (job) => {
    const end = await workOnImport(job, work);
    changes.tell({ schoolId: job.schoolId, sessionId: null });
    return end;
  });

/** As much as a piece of time allows. @throws whatever passes by itself, so that the job comes again */
export async function workOnImport(job: Job, { files, log, isStopping }: ImportWork): Promise<PieceEnd> {
  const asSchool = { schoolId: job.schoolId, accountId: null };
  const begun = await inSchool(files, asSchool, (school) => begin(school, job.id));
  if (!begun) return 'ended';
  const until = performance.now() + PIECE_MS;
  const piece = new Piece(files, begun, () => isStopping() || performance.now() > until);
  try {
    return await piece.work();
  } catch (error) {
    if (passesByItself(error)) throw error;
    const isOurs = !(error instanceof Problem);
    if (isOurs) log.error({ err: error, import: job.id }, 'import failed');
    return inSchool(files, asSchool, async (school) => {
      const row = await lockImport(school, job.id);
      // Stopped meanwhile its bytes were taken away: that is no fault of the file.
      if (row?.state !== 'working') return 'ended' as const;
      if (isOurs && row.tries + 1 < MOST_TRIES) {
        await changed(school, job.id, { tries: row.tries + 1 });
        return 'more' as const;
      }
      await over(school, row, { state: 'failed', problem: (isOurs ? OUR_MISTAKE : error).detail });
      return 'ended' as const;
    });
  }
}

interface Begun {
  readonly row: ImportRow;
  readonly known: Known;
}

/** @returns null where there is nothing to do any more */
async function begin(school: SchoolTx, id: string): Promise<Begun | null> {
  const row = await lockImport(school, id);
  if (!row || !isUnderWay(row)) return null;
  await changed(school, id, { state: 'working' });
  return { row, known: await knownIn(school) };
}

/** The bytes of a file, part by part, and how many have been read. */
class KeptFile {
  bytesRead = 0;

  constructor(
    private readonly files: Knex,
    private readonly row: ImportRow,
  ) {}

  read(): Readable {
    return Readable.from(this.parts());
  }

  private async *parts(): AsyncGenerator<Buffer> {
    const { schoolId, id } = this.row;
    for (let number = 0; ; number += 1) {
      const part = await inSchool(
        this.files,
        { schoolId, accountId: null },
        ({ tx }) =>
          tx('import_parts').where({ importId: id, number }).first('content') as Promise<
            { readonly content: Buffer } | undefined
          >,
      );
      if (!part) return;
      this.bytesRead += part.content.length;
      yield part.content;
    }
  }
}

/** One stretch of work on one file, beginning where the last one ended. */
class Piece {
  private readonly check: EntryCheck;
  private readonly file: KeptFile;
  private done: number;
  private report: ImportReport;

  constructor(
    private readonly files: Knex,
    private readonly begun: Begun,
    private readonly isOver: () => boolean,
  ) {
    const { row, known } = begun;
    this.check = new EntryCheck(known);
    this.file = new KeptFile(files, row);
    this.done = row.rows;
    this.report = row.report;
  }

  async work(): Promise<PieceEnd> {
    const { row } = this.begun;
    const entries = READERS[row.format](this.file.read());
    // What was worked on before is looked over again, since later lines are held against it.
    let left = this.done;
    let batch: CheckedEntry[] = [];
    for await (const entry of entries as AsyncIterable<ImportedEntry>) {
      const checked = this.check.check(entry);
      if (left > 0) {
        left -= 1;
        continue;
      }
      batch.push(checked);
      if (batch.length < AT_ONCE) continue;
      if (!(await this.step(batch, false))) return 'ended';
      batch = [];
      if (this.isOver()) return 'more';
    }
    await this.step(batch, true);
    return 'ended';
  }

  /** @returns false where it was stopped meanwhile, or another server goes on with it */
  private step(batch: readonly CheckedEntry[], isLast: boolean): Promise<boolean> {
    const { row, known } = this.begun;
    const { schoolId, accountId } = row;
    return inSchool(this.files, { schoolId, accountId }, async (school) => {
      const now = await lockImport(school, row.id);
      if (now?.state !== 'working' || now.rows !== this.done) return false;
      const good = batch.flatMap((each) => ('row' in each ? [each.row] : []));
      const fresh = await freshAmong(school, good);
      if (row.saves) await saveRows(school, fresh, known, this.check);
      const report = this.reportWith(batch, good, fresh, isLast);
      const rows = this.done + batch.length;
      const change = { rows, report, bytesRead: isLast ? row.bytes : this.file.bytesRead };
      if (!isLast) await changed(school, row.id, change);
      else if (!row.saves) await changed(school, row.id, { ...change, state: 'looked-over' });
      else await over(school, row, { ...change, state: 'brought-in' });
      [this.done, this.report] = [rows, report];
      return true;
    });
  }

  private reportWith(
    batch: readonly CheckedEntry[],
    good: readonly GoodRow[],
    fresh: readonly GoodRow[],
    isLast: boolean,
  ): ImportReport {
    const before = this.report;
    const problems = batch.flatMap((each) => ('problems' in each ? each.problems : []));
    const brought = before.good + fresh.length;
    return {
      rows: before.rows + batch.length,
      good: brought,
      already: before.already + good.length - fresh.length,
      bad: before.bad + batch.length - good.length,
      problems: [
        ...before.problems,
        ...problems.slice(0, Math.max(0, MOST_PROBLEMS - before.problems.length)),
      ],
      newPilots: [...new Set([...before.newPilots, ...this.check.newPilots.keys()])],
      saved: this.begun.row.saves && isLast && brought > 0,
    };
  }
}
