import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { inLists } from '@skelby/core/clearance/in-lists';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { Move, Rep, WeaknessFacts } from '@skelby/core/clearance/facts';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import { keyDrillsOfPlan } from '@skelby/core/plan/propose-plan';
import { factsOf } from '@skelby/core/weakness/facts-of';
import { failuresToKeep } from '@skelby/core/weakness/page';
import type { SchoolTx } from '../db/in-school';
import { notFound } from '../problem/problem';

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
  readonly moves: readonly MoveRow[];
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
  readonly failedAt: readonly string[];
  readonly drillIds: readonly DrillId[] | null;
}

/** Reads all that decides where a weakness stands. */
export async function loadFacts({ tx }: SchoolTx, id: string): Promise<LoadedFacts> {
  const { rows } = (await tx.raw(
    `
    select r.*, w.cause_id, w.pilot_id, w.failed_at, p.mode, p.wind_limit_mps,
           (select drill_ids from plans where plans.school_id = w.school_id and plans.weakness_id = w.id order by made_at desc limit 1) as drill_ids
      from weaknesses w
      join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
      join clearing_rules r on r.school_id = w.school_id and r.id = w.rule_id
     where w.id = ?`,
    [id],
  )) as { rows: HeadRow[] };
  const head = rows[0];
  if (!head) throw notFound('weakness');
  const moves = (await tx('moves').where({ weaknessId: id }).orderBy(['at', 'id'])) as MoveRow[];
  const keyDrills = keyDrillsOfPlan(head.causeId, head.mode, head.drillIds ?? []);
  // A rep counts wherever its drill decides, for whichever weakness it was flown.
  const reps = (await tx('reps')
    .where({ pilotId: head.pilotId })
    .where((own) => own.where({ weaknessId: id }).orWhereIn('drill_id', [...keyDrills]))
    .orderBy(['flown_at', 'id'])) as (Rep & { takenBackAt: string | null })[];
  const facts = factsOf({
    causeId: head.causeId,
    pilot: { mode: head.mode, windLimitMps: head.windLimitMps },
    rule: head,
    moves,
    reps: reps.map((row) => ({ ...row, takenBack: row.takenBackAt !== null })),
    drillIds: head.drillIds ?? [],
    failedAt: head.failedAt,
  });
  return { ...facts, moves, pilotId: head.pilotId };
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

const notOver = ({ tx }: SchoolTx, pilotId: string): Promise<string[]> =>
  tx('weaknesses')
    .where({ pilotId })
    .whereNotIn('state', ['closed', 'withdrawn'])
    .orderBy('id')
    .pluck('id') as unknown as Promise<string[]>;

/** Keeps which checks have failed by the pilot as now: what is changed about the pilot afterwards cannot undo them. */
export async function keepFailures(school: SchoolTx, pilotId: string): Promise<void> {
  for (const id of await notOver(school, pilotId)) {
    const failedAt = failuresToKeep(await loadFacts(school, id));
    await school.tx('weaknesses').where({ id }).update({ failedAt });
  }
}

/** Works out again every weakness of a pilot that is not over. */
export async function refreshPilot(school: SchoolTx, pilotId: string): Promise<void> {
  for (const id of await notOver(school, pilotId)) await refreshWeakness(school, id);
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
