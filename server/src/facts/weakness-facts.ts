import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { inLists } from '@skelby/core/clearance/in-lists';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { Move, Rep, TestSet, WeaknessFacts } from '@skelby/core/clearance/facts';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import type { WeaknessStamp } from '@skelby/core/pages/pages';
import { factsOf, type KeptPlan, type KeptWeakness } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { notFound } from '../problem/problem';
import { rowsBy } from './by';

export interface WeaknessRow {
  readonly id: string;
  readonly pilotId: string;
  readonly causeId: CauseId;
  readonly state: string;
}

interface MoveRow extends Move {
  readonly occurrenceId: string | null;
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
 * Locks the pilot of a weakness, and with it the weakness. A key under which it was opened a second time
 * finds it too.
 */
export async function lockWeakness(school: SchoolTx, id: string): Promise<WeaknessRow> {
  const read = () =>
    school.tx('weaknesses').whereRaw(`id = ${ALIASED}`, [id, id]).first() as Promise<WeaknessRow | undefined>;
  const weakness = await read();
  if (!weakness) throw notFound('weakness');
  await lockPilot(school, weakness.pilotId);
  return (await read())!;
}

interface HeadRow extends ClearingRule {
  readonly causeId: CauseId;
  readonly pilotId: string;
  readonly mode: FlightMode;
  readonly windLimitMps: number;
  readonly holdOff: boolean;
  readonly failedAt: readonly string[];
}

/** The rule alone, out of a row that holds it beside other things. */
const ruleIn = (row: ClearingRule): ClearingRule => ({
  edition: row.edition,
  test: row.test,
  unacceptableMissPercent: row.unacceptableMissPercent,
  acceptableMissPercent: row.acceptableMissPercent,
  riskPercent: row.riskPercent,
  plannedReps: row.plannedReps,
  passDays: row.passDays,
  checkGapDays: row.checkGapDays,
  testsADay: row.testsADay,
  sidesAlike: row.sidesAlike,
  mostDaysBetweenChecks: row.mostDaysBetweenChecks,
  secondSigner: row.secondSigner,
});

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

/** What is kept of weaknesses, but their reps. */
async function readKept({ tx }: SchoolTx, ids: readonly string[]) {
  const { rows: heads } = (await tx.raw(
    `
    select w.id as weakness_id, r.*, w.cause_id, w.pilot_id, w.failed_at, p.mode, p.wind_limit_mps, p.hold_off
      from weaknesses w
      join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
      join clearing_rules r on r.school_id = w.school_id and r.id = w.rule_id
     where w.id = any(?::uuid[])`,
    [[...ids]],
  )) as { rows: (HeadRow & OfWeakness)[] };
  const of = <Row extends OfWeakness>(rows: readonly Row[]) => rowsBy(rows, (row) => row.weaknessId);
  const moves = of(
    (await tx('moves as m')
      .leftJoin('accounts as a', (on) => on.on('a.school_id', 'm.school_id').andOn('a.id', 'm.account_id'))
      .select('m.*', 'a.name as by')
      .whereIn('m.weakness_id', ids)
      .orderBy(['m.at', 'm.id'])) as (MoveRow & OfWeakness)[],
  );
  const plans = of(
    (await tx('plans').whereIn('weaknessId', ids).orderBy('made_at', 'desc')) as (KeptPlan & OfWeakness)[],
  );
  const stamps = of(
    (await tx('opening_stamps as s')
      .leftJoin('accounts as a', (on) => on.on('a.school_id', 's.school_id').andOn('a.id', 's.account_id'))
      .select(
        's.weakness_id',
        's.at',
        's.mode',
        's.wind_limit_mps',
        's.hold_off',
        's.craft_id',
        's.reason',
        's.told_by',
        'a.name as by',
      )
      .whereIn('s.weakness_id', ids)
      .orderBy('s.at')) as (WeaknessStamp & OfWeakness)[],
  );
  const sets = of(
    (await tx('test_sets').whereIn('weaknessId', ids).orderBy('at')) as (TestSet & OfWeakness)[],
  );
  return heads.map((head) => ({
    id: head.weaknessId,
    pilotId: head.pilotId,
    causeId: head.causeId,
    pilot: { mode: head.mode, windLimitMps: head.windLimitMps, holdOff: head.holdOff },
    rule: ruleIn(head),
    moves: moves(head.weaknessId),
    stamps: stamps(head.weaknessId).map(({ weaknessId: _, ...stamp }) => stamp),
    plans: plans(head.weaknessId),
    sets: sets(head.weaknessId),
    failedAt: head.failedAt,
  }));
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
      .orderBy(['flown_at', 'id'])) as RepRow[],
    (rep) => rep.pilotId,
  );
  return new Map(
    kept.map((each) => {
      const { id, pilotId } = each;
      const counts = reps(pilotId)
        .filter((rep) => rep.weaknessId === id || decides.get(id)!.has(rep.drillId))
        .map((row) => ({
          ...row,
          takenBack: row.takenBackAt !== null,
          takenBackConfirmed: row.errorConfirmedBy !== null,
        }));
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

/**
 * Works the weakness out again and keeps what lists need to know about it; within a batch, once at its end.
 */
export async function refreshWeakness(school: SchoolTx, id: string): Promise<void> {
  if (school.deferred) {
    school.deferred.weaknesses.add(id);
    return;
  }
  const clearance = clearanceOf(await loadFacts(school, id));
  await school
    .tx('weaknesses')
    .where({ id })
    .update({ ...inLists(clearance), signedEarly: clearance.signedEarly });
}

/** Works out again every weakness that a rep counts for: its own, and those whose plan has the same drill. */
export async function refreshSharing(
  school: SchoolTx,
  pilotId: string,
  rep: { readonly weaknessId: string; readonly drillId: DrillId },
): Promise<void> {
  await refreshWeakness(school, rep.weaknessId);
  if (school.deferred) {
    school.deferred.drills.set(`${pilotId} ${rep.drillId}`, { pilotId, drillId: rep.drillId });
    return;
  }
  for (const id of await openFor(school, pilotId, rep.drillId))
    if (id !== rep.weaknessId) await refreshWeakness(school, id);
}

/** The pilot's open weaknesses whose plan has the drill. */
async function openFor(school: SchoolTx, pilotId: string, drillId: DrillId): Promise<string[]> {
  const { rows } = (await school.tx.raw(
    `
    select w.id from weaknesses w
      join lateral (select drill_ids from plans p where p.school_id = w.school_id and p.weakness_id = w.id order by made_at desc limit 1) p on true
     where w.pilot_id = ? and w.state not in ('closed', 'withdrawn') and ? = any(p.drill_ids)`,
    [pilotId, drillId],
  )) as { rows: { id: string }[] };
  return rows.map((row) => row.id);
}

/** Does now what a batch has put off. */
export async function refreshDeferred(school: SchoolTx): Promise<void> {
  const { deferred: putOff, ...now } = school;
  if (!putOff) return;
  for (const { pilotId, drillId } of putOff.drills.values())
    for (const id of await openFor(now, pilotId, drillId)) putOff.weaknesses.add(id);
  for (const id of putOff.weaknesses) await refreshWeakness(now, id);
  putOff.weaknesses.clear();
  putOff.drills.clear();
}
