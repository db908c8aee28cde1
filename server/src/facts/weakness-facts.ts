import type { CauseId } from '@skelby/core/causes/causes';
import type { Rep, WeaknessFacts } from '@skelby/core/clearance/facts';
import type { WeaknessStamp } from '@skelby/core/pages/pages';
import type { Checkpoint } from '@skelby/core/clearance/second-edition';
import { factsOf, type KeptPlan } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { notFound } from '../problem/problem';
import { curvesUpTo } from './checkpoints';
import type { MoveRow } from './read-kept';
import { LATELY, repsShown, type WeaknessHead } from './reps-that-count';
import { fromTheBeginning, sinceCheckpoints } from './since-checkpoints';

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
  /** Where it stood before what decides from there on; null: all that decides is here. */
  readonly since: Checkpoint | null;
  /** From then on every rep is here; null: all of them. */
  readonly shownFrom: string | null;
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

/** The same of several, in as many statements as of one; those that are not there are left out. */
export async function loadFactsOf(
  school: SchoolTx,
  ids: readonly string[],
): Promise<ReadonlyMap<string, LoadedFacts>> {
  return loaded(
    school,
    (await fromTheBeginning(school, ids)).map((each) => ({ ...each, most: null })),
  );
}

/** The same, but of what a great deal was flown for, where it stood and its last reps. */
export async function loadFactsLately(
  school: SchoolTx,
  heads: readonly WeaknessHead[],
): Promise<ReadonlyMap<string, LoadedFacts>> {
  const ids = heads.map(({ id }) => id);
  const much = new Set(heads.filter(({ muchFlown }) => muchFlown).map(({ id }) => id));
  if (much.size === 0) return loadFactsOf(school, ids);
  const little = ids.filter((id) => !much.has(id));
  const [since, whole] = await Promise.all([
    sinceCheckpoints(school, [...much]).then((kept) => curvesUpTo(school, kept)),
    little.length === 0 ? [] : fromTheBeginning(school, little),
  ]);
  return loaded(school, [
    ...since.map((each) => ({ ...each, most: each.since === null ? null : LATELY })),
    ...whole.map((each) => ({ ...each, most: null })),
  ]);
}

async function loaded(
  school: SchoolTx,
  wanted: Parameters<typeof repsShown>[1],
): Promise<ReadonlyMap<string, LoadedFacts>> {
  const repsOf = await repsShown(school, wanted);
  return new Map(
    wanted.map(({ kept, since }) => {
      const { id, pilotId, moves, plans, stamps } = kept;
      const shown = repsOf(id);
      const reps = shown.map(({ rep }) => rep);
      const shownFrom = since && (shown.find(({ leftBehind }) => !leftBehind)?.rep.flownAt ?? null);
      return [
        id,
        { ...factsOf({ ...kept, reps }), ...{ reps, moves, plans, stamps, pilotId, since, shownFrom } },
      ];
    }),
  );
}
