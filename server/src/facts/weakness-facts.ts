import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import type { Rep, WeaknessFacts } from '@skelby/core/clearance/facts';
import type { WeaknessStamp } from '@skelby/core/pages/pages';
import { factsOf, type KeptPlan, type KeptWeakness } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { notFound } from '../problem/problem';
import { rowsBy } from './by';
import { type MoveRow, readKept } from './read-kept';

export interface WeaknessRow {
  readonly id: string;
  readonly pilotId: string;
  readonly causeId: CauseId;
  readonly state: string;
}

export interface LoadedFacts extends WeaknessFacts {
  readonly pilotId: string;
  /** With who counted each; nobody where the pilot flew alone. */
  readonly reps: readonly (Rep & { readonly accountId: string | null })[];
  readonly moves: readonly MoveRow[];
  /** Newest first. */
  readonly plans: readonly KeptPlan[];
  readonly stamps: readonly WeaknessStamp[];
}

const ALIASED = 'coalesce((select weakness_id from weakness_aliases where id = ?), ?)';

/** The weakness's own key, for the one under which it was opened a second time; any other key as it is. */
export async function ownKey(tx: SchoolTx['tx'], id: string): Promise<string> {
  const { rows } = (await tx.raw(`select ${ALIASED} as id`, [id, id])) as { rows: { id: string }[] };
  return rows[0]!.id;
}

/**
 * Keeps a second writer out of all that belongs to one pilot until the transaction ends. Every write that
 * works a weakness out takes this
 * lock before any other of that pilot's rows: a rep counts for several weaknesses, and two writers that took
 * those one by one would wait for
 * each other for ever. It does not stand in the way of rows that merely refer to the pilot.
 */
export const lockPilot = async ({ tx }: SchoolTx, pilotId: string): Promise<void> => {
  await tx('pilots').where({ id: pilotId }).forNoKeyUpdate().first('id');
};

/**
 * Locks the pilot of a weakness, in one statement. What else is to be known of it is read afterwards.
 * @throws Problem 404
 */
export async function lockPilotOf(
  { tx }: SchoolTx,
  id: string,
): Promise<{ readonly weaknessId: string; readonly pilotId: string; readonly openedAt: string }> {
  const { rows } = (await tx
    .raw(
      `select w.id as weakness_id, w.opened_at, p.id as pilot_id
       from weaknesses w join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
      where w.id = ${ALIASED} for no key update of p`,
      [id, id],
    )
    .options(prepared('lock-pilot-of'))) as {
    rows: { weaknessId: string; pilotId: string; openedAt: string }[];
  };
  if (!rows[0]) throw notFound('weakness');
  return rows[0];
}

/**
 * Locks the pilot of a weakness, and with it the weakness. A key under which it was opened a second time
 * finds it too.
 */
export async function lockWeakness(school: SchoolTx, id: string): Promise<WeaknessRow> {
  const { weaknessId } = await lockPilotOf(school, id);
  return (await school.tx('weaknesses').where({ id: weaknessId }).first()) as WeaknessRow;
}

/** Reads all that decides where a weakness stands. @throws Problem 404 */
export async function loadFacts(school: SchoolTx, id: string): Promise<LoadedFacts> {
  const facts = (await loadFactsOf(school, [id])).get(id);
  if (!facts) throw notFound('weakness');
  return facts;
}

interface OfWeakness {
  readonly weaknessId: string;
}
type RepRow = Rep &
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
  ...['pack', 'level', 'measure', 'session_id', 'craft_id', 'miss_reason', 'recorded_at', 'case_id', 'stage'],
  ...['distance_m', 'drill_version'],
];
const COUNTING = `
  select ${DECIDES.join(', ')}
  from reps
  where pilot_id = any(?::uuid[]) and flown_at >= ? and (weakness_id = any(?::uuid[]) or drill_id = any(?))
  order by flown_at, id`;

type Kept = Awaited<ReturnType<typeof readKept>>[number];
/** A weakness, and the instant from which its reps are wanted. */
interface WantedSince {
  readonly kept: Kept;
  readonly from: string;
}

/** Reps that count for weaknesses of one pilot: their own, and wherever their drills decide or decided. */
export async function repsCounting({ tx }: SchoolTx, wanted: readonly WantedSince[]) {
  const drills = new Map(wanted.map(({ kept }) => [kept.id, drillsThatDecide(kept)]));
  const first = wanted.map(({ from }) => from).reduce((a, b) => (a < b ? a : b));
  const pilotIds = [...new Set(wanted.map(({ kept }) => kept.pilotId))];
  const deciding = [...new Set([...drills.values()].flatMap((each) => [...each]))];
  const { rows } = (await tx
    .raw(COUNTING, [pilotIds, first, [...drills.keys()], deciding])
    .options(prepared('reps-counting'))) as { rows: RepRow[] };
  const reps = rows.map(asItCounts);
  return ({ kept: { id, pilotId }, from }: WantedSince) =>
    reps.filter(
      (rep) =>
        rep.pilotId === pilotId &&
        rep.flownAt >= from &&
        (rep.weaknessId === id || drills.get(id)!.has(rep.drillId)),
    );
}

/** Left out where nothing was said: on a page it is the same. */
const SAID_OR_NOT = new Set([
  'measure',
  'sessionId',
  'craftId',
  'caseId',
  'stage',
  'distanceM',
  'widthSpans',
  'testSetId',
]);

function asItCounts({ takenBackAt, errorConfirmedBy, ...row }: RepRow) {
  const told = Object.entries(row).filter(([name, value]) => value !== null || !SAID_OR_NOT.has(name));
  return {
    ...(Object.fromEntries(told) as typeof row),
    takenBack: takenBackAt !== null,
    takenBackConfirmed: errorConfirmedBy !== null,
  };
}

/** The same of several, in as many statements as of one; those that are not there are left out. */
export async function loadFactsOf(
  school: SchoolTx,
  ids: readonly string[],
): Promise<ReadonlyMap<string, LoadedFacts>> {
  const kept = await readKept(school, ids);
  const decides = new Map(kept.map((each) => [each.id, drillsThatDecide(each)]));
  // A rep counts wherever its drill decides or decided, for whichever weakness it was flown.
  const reps = rowsBy(
    (await school
      .tx('reps')
      .whereIn('pilotId', [...new Set(kept.map(({ pilotId }) => pilotId))])
      .where((own) =>
        own
          .whereIn('weaknessId', ids)
          .orWhereIn('drill_id', [...new Set([...decides.values()].flatMap((drills) => [...drills]))]),
      )
      .orderBy(['flown_at', 'id'])
      .select(SHOWN)) as RepRow[],
    (rep) => rep.pilotId,
  );
  return new Map(
    kept.map((each) => {
      const { id, pilotId } = each;
      const counts = reps(pilotId)
        .filter((rep) => rep.weaknessId === id || decides.get(id)!.has(rep.drillId))
        .map(asItCounts);
      return [
        id,
        {
          ...factsOf({ ...each, reps: counts }),
          reps: counts,
          moves: each.moves,
          plans: each.plans,
          stamps: each.stamps,
          pilotId,
        },
      ];
    }),
  );
}

/** Drills that decide a weakness, or did. */
function drillsThatDecide(kept: Omit<KeptWeakness, 'reps'>): ReadonlySet<DrillId> {
  const { keyDrills, deciding = [] } = factsOf({ ...kept, reps: [] });
  return new Set([...keyDrills, ...deciding.flatMap((each) => each.keyDrills)]);
}
