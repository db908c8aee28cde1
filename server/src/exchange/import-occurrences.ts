import { messageWords } from '@skelby/copy/say';
import type { ImportReport } from '@skelby/core/pages/pages';
import { columnOf, type OccurrenceRecord } from '@skelby/core/exchange/occurrence-record';
import { type Experience, NO_EXPERIENCE } from '@skelby/core/ranking/experience';
import { withLesson } from '@skelby/core/ranking/learn';
import type { CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import { BEGINNER_WIND_LIMIT_MPS } from '@skelby/core/vocabulary/wind-band';
import { occurrenceRecordShape } from '@skelby/core/schemas/occurrence-record';
import { v7 as uuid } from 'uuid';
import { ValidationError } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { recordEvent } from '../facts/events';
import { learn, lessonIn } from '../facts/experience';
import type { ImportedEntry } from './read-file';

interface RowProblem {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

const BATCH = 250;
const MOST_PROBLEMS = 200;
const DAY_AHEAD_MS = 86_400_000;

interface Named {
  readonly id: string;
  readonly name: string;
}
interface Known {
  readonly pilots: Map<string, string>;
  readonly pilotKeys: Set<string>;
  readonly twice: ReadonlySet<string>;
  readonly craft: ReadonlyMap<string, string>;
  readonly sites: ReadonlyMap<string, string>;
  readonly records: ReadonlyMap<string, CraftRecord>;
}

const byName = (rows: readonly Named[]) => new Map(rows.map(({ id, name }) => [name, id]));

async function known({ tx }: SchoolTx): Promise<Known> {
  const named = (table: 'pilots' | 'sites') => tx(table).select('id', 'name') as unknown as Promise<Named[]>;
  const pilots = await named('pilots');
  const sites = await named('sites');
  const craft = (await tx('craft').select('*')) as (Named & CraftRecord)[];
  const twice = new Set(pilots.map((pilot) => pilot.name).filter((name, i, all) => all.indexOf(name) !== i));
  return {
    pilots: byName(pilots),
    pilotKeys: new Set(pilots.map((pilot) => pilot.id)),
    twice,
    craft: byName(craft),
    sites: byName(sites),
    records: new Map(craft.map((each) => [each.id, each])),
  };
}

interface Row {
  readonly line: number;
  readonly record: OccurrenceRecord;
  readonly pilotId: string;
  readonly craftId: string | null;
  readonly siteId: string | null;
}

/** A column and what is wrong in it. */
type Wrong = readonly [column: string, message: string];

/** An entry as its shape reads it, or everything that the shape refuses. */
function readRecord(
  raw: unknown,
  line: number,
): { readonly record: OccurrenceRecord } | { readonly problems: readonly RowProblem[] } {
  try {
    return {
      record: occurrenceRecordShape.validateSync(raw, { abortEarly: false }) as unknown as OccurrenceRecord,
    };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    return {
      problems: inner.map(({ path, message }) => ({
        line,
        column: columnOf(path ?? ''),
        message: messageWords(message),
      })),
    };
  }
}

/** What an entry names that is not there; null is a name that two share, undefined one that nobody has. */
function unknownIn(
  { craft, site, pilot }: OccurrenceRecord,
  of: Readonly<Record<'craftId' | 'siteId' | 'pilotId', string | null | undefined>>,
): readonly Wrong[] {
  const wrong: Wrong[] = [];
  if (of.craftId === undefined)
    wrong.push(['craft', `There is no craft "${craft}": add it under Kit, or leave the cell empty.`]);
  if (of.siteId === undefined)
    wrong.push(['site', `There is no site "${site}": add it under Kit, or leave the cell empty.`]);
  if (of.pilotId === null)
    wrong.push(['pilot', `Two pilots are called "${pilot}": give the key in pilot_id.`]);
  return wrong;
}

/** Brings occurrences in from a file, a batch at a time, so that its length does not matter. */
class Import {
  private rows = 0;
  private good = 0;
  private already = 0;
  private bad = 0;
  private readonly problems: RowProblem[] = [];
  private readonly newPilots = new Map<string, string>();
  private readonly seen = new Set<string>();
  private batch: Row[] = [];
  private learnt: Experience = NO_EXPERIENCE;
  private lessons = 0;

  constructor(
    private readonly school: SchoolTx,
    private readonly there: Known,
    private readonly save: boolean,
  ) {}

  private refuse(problems: readonly RowProblem[]): void {
    this.bad += 1;
    this.problems.push(...problems.slice(0, Math.max(0, MOST_PROBLEMS - this.problems.length)));
  }

  /** The pilot's key; one who is not there yet is added, with the key of the file if it has one. */
  private pilotOf({ pilotId, pilot }: OccurrenceRecord): string | null {
    if (pilotId !== null && this.there.pilotKeys.has(pilotId)) return pilotId;
    if (pilotId === null && this.there.twice.has(pilot)) return null;
    const found = this.there.pilots.get(pilot) ?? this.newPilots.get(pilot);
    if (found !== undefined) return found;
    const added = pilotId ?? uuid();
    this.newPilots.set(pilot, added);
    return added;
  }

  private check(entry: ImportedEntry): void {
    this.rows += 1;
    if (!('raw' in entry)) {
      this.refuse([entry]);
      return;
    }
    const { line } = entry;
    const read = readRecord(entry.raw, line);
    if ('problems' in read) {
      this.refuse(read.problems);
      return;
    }
    const { record } = read;
    const of = {
      craftId: record.craft === null ? null : this.there.craft.get(record.craft),
      siteId: record.site === null ? null : this.there.sites.get(record.site),
      pilotId: this.pilotOf(record),
    };
    const problems = [...unknownIn(record, of), ...this.contradictionsIn(record)];
    if (problems.length > 0) {
      this.refuse(problems.map(([column, message]) => ({ line, column, message })));
      return;
    }
    if (record.id !== null) this.seen.add(record.id);
    this.batch.push({
      line,
      record: { ...record, id: record.id ?? uuid() },
      pilotId: of.pilotId!,
      craftId: of.craftId ?? null,
      siteId: of.siteId ?? null,
    });
  }

  /** What an entry says that cannot be so, beside what its shape refuses. */
  private contradictionsIn(record: OccurrenceRecord): readonly Wrong[] {
    const wrong: Wrong[] = [];
    if (Date.parse(record.happenedAt) > Date.now() + DAY_AHEAD_MS)
      wrong.push(['happened_at', 'Time lies more than a day ahead: check the date.']);
    if (record.id !== null && this.seen.has(record.id))
      wrong.push(['id', 'The same key stands on an earlier line: give each entry its own, or none.']);
    if (record.withdrawnReason !== null && record.confirmedCauseId !== null)
      wrong.push(['withdrawn_reason', 'A withdrawn entry has no confirmed cause: empty one of the two.']);
    if (record.debrief?.state === 'closed' && record.debrief.primary === null)
      wrong.push(['primary_cause', 'A closed debrief has a primary cause: name it, or write open.']);
    return wrong;
  }

  private async flush(): Promise<void> {
    const { tx } = this.school;
    const ids = this.batch.map((row) => row.record.id);
    const there = new Set((await tx('occurrences').whereIn('id', ids).pluck('id')) as string[]);
    const fresh = this.batch.filter((row) => !there.has(row.record.id));
    this.already += this.batch.length - fresh.length;
    this.good += fresh.length;
    this.batch = [];
    if (!this.save || fresh.length === 0) return;
    await this.addPilots();
    await this.addOccurrences(fresh);
    await this.addDebriefs(fresh);
  }

  private async addPilots(): Promise<void> {
    const { tx, schoolId } = this.school;
    const pilots = [...this.newPilots].filter(([, id]) => !this.there.pilotKeys.has(id));
    if (pilots.length === 0) return;
    await tx('pilots').insert(
      pilots.map(([name, id]) => ({
        schoolId,
        id,
        name,
        stickLayout: 2,
        mode: 'position-hold',
        windLimitMps: BEGINNER_WIND_LIMIT_MPS,
        note: 'Added from a file: check mode, sticks and wind limit.',
      })),
    );
    for (const [, id] of pilots) this.there.pilotKeys.add(id);
  }

  private async addOccurrences(fresh: readonly Row[]): Promise<void> {
    const { tx, schoolId, accountId } = this.school;
    await tx('occurrences').insert(
      fresh.map(({ record, pilotId, craftId, siteId }) => ({
        schoolId,
        id: record.id,
        pilotId,
        kind: record.kind,
        causeId: record.causeId,
        note: record.note,
        craftId,
        siteId,
        windMps: record.windMps,
        happenedAt: record.happenedAt,
        day: record.day,
        loggedBy: accountId,
        confirmedCauseId: record.confirmedCauseId,
        confirmedAt: record.confirmedCauseId === null ? null : record.happenedAt,
        importedAt: tx.fn.now(),
        withdrawnReason: record.withdrawnReason,
        withdrawnAt: record.withdrawnReason === null ? null : tx.fn.now(),
      })),
    );
  }

  private async addDebriefs(fresh: readonly Row[]): Promise<void> {
    const { tx, schoolId, accountId } = this.school;
    const debriefs = fresh.filter((row) => row.record.debrief !== null);
    if (debriefs.length === 0) return;
    await tx('debriefs').insert(
      debriefs.map(({ record, craftId }) => {
        const { state, ...findings } = record.debrief!;
        const lesson = this.lessonOf(record, craftId);
        return {
          schoolId,
          id: uuid(),
          occurrenceId: record.id,
          number: 1,
          state,
          findings: JSON.stringify(findings),
          lesson: lesson && JSON.stringify(lesson),
          at: record.happenedAt,
          accountId,
        };
      }),
    );
  }

  /** Whether it went with a ranking is not known, so only a pick of the trainer's own that stood teaches. */
  private lessonOf({ debrief }: Row['record'], craftId: string | null): Experience | null {
    const { state, ...findings } = debrief!;
    if (state !== 'closed' || findings.primary !== findings.ownPick) return null;
    const lesson = lessonIn(findings, craftId === null ? null : this.there.records.get(craftId)!);
    if (!lesson) return null;
    this.learnt = withLesson(this.learnt, lesson);
    this.lessons += 1;
    return lesson;
  }

  async all(entries: AsyncIterable<ImportedEntry>): Promise<ImportReport> {
    for await (const entry of entries) {
      this.check(entry);
      if (this.batch.length >= BATCH) await this.flush();
    }
    await this.flush();
    const { rows, good, already, bad, problems, save } = this;
    const saved = save && good > 0;
    if (saved) {
      await recordEvent(this.school, {
        action: 'imported',
        subject: 'school',
        subjectId: this.school.schoolId,
        data: { rows, good, already, bad },
      });
      if (this.lessons > 0) await learn(this.school, this.learnt, null, this.lessons);
    }
    return { rows, good, already, bad, problems, newPilots: [...this.newPilots.keys()], saved };
  }
}

/**
 * Checks a file, or brings its good entries in.
 * @param save false: only says what would happen
 */
export const importOccurrences = async (
  school: SchoolTx,
  entries: AsyncIterable<ImportedEntry>,
  save: boolean,
): Promise<ImportReport> => new Import(school, await known(school), save).all(entries);
