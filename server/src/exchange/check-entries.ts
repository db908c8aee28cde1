import { messageWords } from '@skelby/copy/say';
import { columnOf, type OccurrenceRecord } from '@skelby/core/exchange/occurrence-record';
import type { CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import { occurrenceRecordShape } from '@skelby/core/schemas/occurrence-record';
import { v7 as uuid } from 'uuid';
import { ValidationError } from 'yup';
import type { SchoolTx } from '../db/in-school';
import type { ImportedEntry } from './read-file';

interface RowProblem {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

const DAY_AHEAD_MS = 86_400_000;

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What a school has that a file may name. */
export interface Known {
  readonly pilots: Map<string, string>;
  readonly pilotKeys: Set<string>;
  readonly twice: ReadonlySet<string>;
  readonly craft: ReadonlyMap<string, string>;
  readonly sites: ReadonlyMap<string, string>;
  readonly records: ReadonlyMap<string, CraftRecord>;
}

const byName = (rows: readonly Named[]) => new Map(rows.map(({ id, name }) => [name, id]));

export async function knownIn({ tx }: SchoolTx): Promise<Known> {
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

/** An entry that may come in. */
export interface GoodRow {
  readonly record: OccurrenceRecord & { readonly id: string };
  readonly pilotId: string;
  readonly craftId: string | null;
  readonly siteId: string | null;
}
export type CheckedEntry = { readonly row: GoodRow } | { readonly problems: readonly RowProblem[] };

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
    wrong.push(['craft', `There is no craft "${craft}": add it under More, or leave the cell empty.`]);
  if (of.siteId === undefined)
    wrong.push(['site', `There is no site "${site}": add it under More, or leave the cell empty.`]);
  if (of.pilotId === null)
    wrong.push(['pilot', `Two pilots are called "${pilot}": give the key in pilot_id.`]);
  return wrong;
}

/** Looks entry after entry of a file over, and keeps in mind what stood on earlier lines. */
export class EntryCheck {
  /** Pilots that the school does not have yet, by name. */
  readonly newPilots = new Map<string, string>();
  private readonly seen = new Set<string>();

  constructor(private readonly there: Known) {}

  check(entry: ImportedEntry): CheckedEntry {
    if (!('raw' in entry)) return { problems: [entry] };
    const { line } = entry;
    const read = readRecord(entry.raw, line);
    if ('problems' in read) return read;
    const { record } = read;
    const of = {
      craftId: record.craft === null ? null : this.there.craft.get(record.craft),
      siteId: record.site === null ? null : this.there.sites.get(record.site),
      pilotId: this.pilotOf(record),
    };
    const problems = [...unknownIn(record, of), ...this.contradictionsIn(record)];
    if (problems.length > 0)
      return { problems: problems.map(([column, message]) => ({ line, column, message })) };
    if (record.id !== null) this.seen.add(record.id);
    return {
      row: {
        record: { ...record, id: record.id ?? uuid() },
        pilotId: of.pilotId!,
        craftId: of.craftId ?? null,
        siteId: of.siteId ?? null,
      },
    };
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
}
