import { CAUSES, type CauseId } from '@skelby/core/causes/causes';
import type { FoundEntry, SearchPage } from '@skelby/core/pages/search';
import { excerptAround, holdsWords, SOUGHT_SIGNS, wordsSought } from '@skelby/core/vocabulary/sought';
import type { Context } from 'koa';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { rowsOf } from '../db/rows-of';
import { badField } from '../problem/problem';

/** Of each kind so many: whoever wants others says more. */
const MOST = 20;
const EXCERPT_SIGNS = 120;

/** What is asked for: words, and causes whose names the app found in them. */
function askedIn({ query }: Context): {
  readonly words: readonly string[];
  readonly causes: readonly CauseId[];
} {
  const { q = '', causes = '' } = query;
  if (typeof q !== 'string' || q.length > SOUGHT_SIGNS)
    throw badField('q', `q must be one text of at most ${SOUGHT_SIGNS} signs: leave some words out.`);
  const ids = typeof causes === 'string' ? causes.split(',').filter((id) => id !== '') : [];
  const unknown = ids.find((id) => !CAUSES.some((cause) => cause.id === id));
  if (typeof causes !== 'string' || unknown !== undefined)
    throw badField('causes', 'causes must be ids of causes with commas between: leave it out, or name some.');
  return { words: wordsSought(q), causes: ids as readonly CauseId[] };
}

/** Of each kind the newest. */
const FOUND = `
  select of, id from (
    select of, id, row_number() over (partition by of order by at desc nulls last, id desc) as nth
      from search_words where words @@ to_tsquery('simple', ?) or cause_id = any(?::text[])) found
   where nth <= ?`;

interface EntryRow extends Omit<FoundEntry, 'text'> {
  /** What somebody wrote, the note first. */
  readonly said: readonly (string | null)[];
}

const ENTRIES = `
  select o.id, o.kind, coalesce(o.confirmed_cause_id, o.cause_id) as cause_id, o.day,
      case when (d.findings ->> 'nameWithheld')::boolean then null else p.name end as pilot_name,
      json_build_array(o.note, d.findings ->> 'wentWell', d.findings ->> 'overruleReason',
        (select string_agg(part, ', ') from jsonb_array_elements_text(d.findings -> 'damage') part),
        (select string_agg(link ->> 'words', ' · ') from jsonb_array_elements(d.findings -> 'chain') link)) as said
    from occurrences o join pilots p on p.school_id = o.school_id and p.id = o.pilot_id
    left join lateral (select findings from debriefs where school_id = o.school_id and occurrence_id = o.id
      order by number desc limit 1) d on true
   where o.id = any(?::uuid[]) order by o.happened_at desc, o.id desc`;

/** The words where they stand, or the beginning of the note. */
function textOf(said: EntryRow['said'], words: readonly string[]): string {
  const texts = said.filter((text) => text !== null && text !== '') as string[];
  const holding = texts.find((text) => words.some((word) => holdsWords(text, [word])));
  return excerptAround(holding ?? said[0] ?? '', words, EXCERPT_SIGNS);
}

/** Pilots, entries with what was found out about them, sites and craft, by words that somebody remembers. */
export async function searchPage({ tx }: SchoolTx, ctx: Context): Promise<SearchPage> {
  const { words, causes } = askedIn(ctx);
  if (words.length === 0 && causes.length === 0)
    return { pilots: [], entries: [], sites: [], craft: [], hasMore: false };
  const wanted = words.map((word) => `${word}:*`).join(' & ');
  const { rows: found } = (await tx
    .raw(FOUND, [wanted, [...causes], MOST + 1])
    .options(prepared('found-words'))) as {
    rows: { of: string; id: string }[];
  };
  const idsOf = (what: string) =>
    found
      .filter(({ of }) => of === what)
      .slice(0, MOST)
      .map(({ id }) => id);
  const named = (table: 'pilots' | 'sites' | 'craft', what: string) =>
    rowsOf<{ readonly id: string; readonly name: string }>(
      tx,
      tx(table)
        .whereRaw('id = any(?::uuid[])', [idsOf(what)])
        .orderBy(['name', 'id'])
        .select('id', 'name'),
    );
  const [pilots, sites, craft, entries] = await Promise.all([
    named('pilots', 'pilot'),
    named('sites', 'site'),
    named('craft', 'craft'),
    rowsOf<EntryRow>(tx, tx.raw(ENTRIES, [idsOf('entry')])),
  ]);
  const hasMore = found.filter(({ of }) => of === 'entry').length > MOST;
  return {
    ...{ pilots, sites, craft, hasMore },
    entries: entries.map(({ said, ...entry }) => ({ ...entry, text: textOf(said, words) })),
  };
}
