import type { DrillId } from '@skelby/core/drills/drills';
import type { RecordedRep } from '@skelby/core/pages/pages';
import { factsOf, type KeptWeakness } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { PLANNED_ONCE, prepared } from '../db/prepared';
import { rowsBy } from './by';
import type { KeptSince } from './since-checkpoints';

interface OfWeakness {
  readonly weaknessId: string;
}
type RepRow = RecordedRep &
  OfWeakness & {
    readonly pilotId: string;
    readonly accountId: string | null;
    readonly takenBackAt: string | null;
    readonly errorConfirmedBy: string | null;
  };

/** Of reps what decides, and whose they are. */
const DECIDES = [
  ...['id', 'weakness_id', 'pilot_id', 'drill_id', 'purpose', 'met', 'side', 'band', 'flown_on', 'mode'],
  ...['pilot_relative', 'width_spans', 'day', 'flown_at', 'test_set_id', 'account_id', 'taken_back_at'],
  'error_confirmed_by',
];
/** And what is shown of them: a much-drilled weakness has thousands, and each goes to every phone. */
const SHOWN = [
  ...DECIDES,
  ...[
    'pack',
    'level',
    'measure',
    'judged_by',
    'session_id',
    'craft_id',
    'miss_reason',
    'recorded_at',
    'case_id',
    'stage',
  ],
  ...['distance_m', 'drill_version'],
];
const COUNTING = `
  select ${DECIDES.join(', ')}
  from reps
  where pilot_id = any(?::uuid[]) and flown_at >= ? and (weakness_id = any(?::uuid[]) or drill_id = any(?))
  order by flown_at, id`;

/** Reps that count for weaknesses of one pilot: their own, and wherever their drills decide or decided. */
export async function repsCounting({ tx }: SchoolTx, wanted: readonly KeptSince[]) {
  const drills = new Map(wanted.map(({ kept }) => [kept.id, drillsThatDecide(kept)]));
  const first = wanted.map(decidesFrom).reduce((a, b) => (a < b ? a : b));
  const pilotIds = [...new Set(wanted.map(({ kept }) => kept.pilotId))];
  const deciding = [...new Set([...drills.values()].flatMap((each) => [...each]))];
  const { rows } = (await tx
    .raw(COUNTING, [pilotIds, first, [...drills.keys()], deciding])
    .options(prepared('reps-counting'))) as { rows: RepRow[] };
  const reps = rows.map(asItCounts);
  return (each: KeptSince) => {
    const { id, pilotId } = each.kept;
    const from = decidesFrom(each);
    return reps.filter(
      (rep) =>
        rep.pilotId === pilotId &&
        rep.flownAt >= from &&
        (rep.weaknessId === id || drills.get(id)!.has(rep.drillId)),
    );
  };
}

/** So many of the last reps of a weakness are on its page, and so many of the pilot's make one look for that. */
export const LATELY = 150;
const OF_A_PILOT = 2000;

/** What lists know of a weakness, and whether a great deal was flown for it, or by its pilot. */
export interface WeaknessHead {
  readonly id: string;
  readonly pilotId: string;
  readonly muchFlown: boolean;
}

const HEADS = `
  select w.id, w.school_id, w.pilot_id, w.cause_id, w.rule_id, w.opened_at, w.state, w.check_from, w.check_passed,
      w.signed_early, w.rungs, w.failed_at, w.limited,
      exists (select from reps r where r.weakness_id = w.id offset :lately)
        or exists (select from reps r where r.pilot_id = w.pilot_id offset :ofPilot) as much_flown
    from weaknesses w cross join (select ${PLANNED_ONCE}) planned
   where w.id = any(:named::uuid[])
      or w.id in (select weakness_id from weakness_aliases where id = any(:named::uuid[]))`;

/**
 * Of several by their keys, also by a key under which one was opened a second time. The statements after it in this
 * transaction are planned once.
 */
export async function headsOf({ tx }: SchoolTx, named: readonly string[]): Promise<readonly WeaknessHead[]> {
  const { rows } = (await tx
    .raw(HEADS, { named: [...named], lately: LATELY, ofPilot: OF_A_PILOT })
    .options(prepared('heads'))) as { rows: readonly WeaknessHead[] };
  return rows;
}

const OWN_OR_DECIDING = 'pilot_id = w."pilotId" and (weakness_id = w.id or drill_id = any(w.drills))';
/**
 * Of each weakness its last reps, those since its checkpoint, and, left behind by these, slips that wait for a second
 * person.
 */
const SHOWN_OF = `
  select w.id as shown_for, r.*
    from json_to_recordset(?) as w(
      id uuid, "pilotId" uuid, since timestamptz, until timestamptz, most integer, drills text[])
   cross join lateral (
     select least(w.since, min(flown_at)) as at from (
       select flown_at from reps where ${OWN_OR_DECIDING} and flown_at < w.until
        order by flown_at desc limit w.most) last) begins
   cross join lateral (
     select ${SHOWN.join(', ')}, false as left_behind
       from reps where ${OWN_OR_DECIDING} and flown_at < w.until and flown_at >= begins.at
     union all
     select ${SHOWN.join(', ')}, true from reps
      where weakness_id = w.id and taken_back_at is not null and error_confirmed_by is null and not met
        and flown_at < begins.at and w.until = 'infinity') r
   order by r.flown_at, r.id`;

interface WantedReps extends KeptSince {
  /** So many of the last, and all since the checkpoint; null: all of them. */
  readonly most: number | null;
  /** Those flown before that instant; absent: also the last ones. */
  readonly until?: string;
}

/** Reps as they are shown, oldest first, of each weakness by its key. */
export async function repsShown({ tx }: SchoolTx, wanted: readonly WantedReps[]) {
  const asked = wanted.map(({ kept, since, most, until = 'infinity' }) => ({
    ...{ id: kept.id, pilotId: kept.pilotId, most, until, drills: [...drillsThatDecide(kept)] },
    since: most === null ? '-infinity' : (since?.before ?? 'infinity'),
  }));
  const { rows } = (await tx.raw(SHOWN_OF, [JSON.stringify(asked)]).options(prepared('reps-shown'))) as {
    rows: (RepRow & { readonly shownFor: string; readonly leftBehind: boolean })[];
  };
  return rowsBy(
    rows.map((row) => ({ shownFor: row.shownFor, leftBehind: row.leftBehind, rep: asItCounts(row) })),
    ({ shownFor }) => shownFor,
  );
}

/** Before it was opened nothing counts. */
const decidesFrom = ({ kept, since }: KeptSince): string => since?.before ?? kept.moves[0]!.at;

/** Left out where nothing was said: on a page it is the same. */
const SAID_OR_NOT = new Set([
  'measure',
  'judgedBy',
  'sessionId',
  'craftId',
  'caseId',
  'stage',
  'distanceM',
  'widthSpans',
  'testSetId',
  'takenBackAt',
  'errorConfirmedBy',
]);

/** Told in other words, or of the question and not of the rep. */
const NOT_TOLD = new Set(['takenBackAt', 'errorConfirmedBy', 'shownFor', 'leftBehind']);

function asItCounts(row: RepRow) {
  const told: Record<string, unknown> = {
    takenBack: row.takenBackAt !== null,
    takenBackConfirmed: row.errorConfirmedBy !== null,
  };
  // A loop: it runs for every rep of every page.
  for (const name in row) {
    const value = row[name as keyof RepRow];
    if (value === null ? !SAID_OR_NOT.has(name) : !NOT_TOLD.has(name)) told[name] = value;
  }
  return told as unknown as Omit<RepRow, 'takenBackAt' | 'errorConfirmedBy'> &
    Record<'takenBack' | 'takenBackConfirmed', boolean>;
}

/** Drills that decide a weakness, or did. */
function drillsThatDecide(kept: Omit<KeptWeakness, 'reps'>): ReadonlySet<DrillId> {
  const { keyDrills, deciding = [] } = factsOf({ ...kept, reps: [] });
  return new Set([...keyDrills, ...deciding.flatMap((each) => each.keyDrills)]);
}
