import { type Clearance, clearanceOf } from '@skelby/core/clearance/clearance';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { Move, Rep, WeaknessFacts } from '@skelby/core/clearance/facts';
import type { FlightMode } from '@skelby/core/flying/vocabulary';
import { keyDrillsOfPlan } from '@skelby/core/plan/propose-plan';
import type { SchoolTx } from '../db/in-school';
import { notFound } from '../http/problems';

export interface WeaknessRow {
  readonly id: string;
  readonly pilotId: string;
  readonly causeId: string;
  readonly ruleId: string;
  readonly state: string;
}

interface MoveRow extends Move {
  readonly occurrenceId: string | null;
}

export interface LoadedWeakness {
  readonly weakness: WeaknessRow;
  readonly pilot: { readonly id: string; readonly name: string; readonly mode: FlightMode; readonly windLimitMps: number };
  readonly moves: readonly MoveRow[];
  readonly plans: readonly { readonly id: string; readonly drillIds: readonly string[]; readonly reason: string }[];
  readonly reps: readonly Rep[];
  readonly rule: ClearingRule;
  readonly facts: WeaknessFacts;
}

/** Keeps a second writer out of this weakness until the transaction ends. */
export async function lockWeakness({ tx }: SchoolTx, id: string): Promise<WeaknessRow> {
  const weakness = await tx('weaknesses').where({ id }).forUpdate().first() as WeaknessRow | undefined;
  if (!weakness) throw notFound('weakness');
  return weakness;
}

/** Reads a weakness with all that decides it. */
export async function loadWeakness({ tx }: SchoolTx, id: string): Promise<LoadedWeakness> {
  const weakness = await tx('weaknesses').where({ id }).first() as WeaknessRow | undefined;
  if (!weakness) throw notFound('weakness');
  const pilot = await tx('pilots').where({ id: weakness.pilotId }).first() as LoadedWeakness['pilot'];
  const rule = await tx('clearing_rules').where({ id: weakness.ruleId }).first() as ClearingRule;
  const moves = await tx('moves as m').leftJoin('accounts as a', (on) => on.on('a.school_id', 'm.school_id').andOn('a.id', 'm.account_id'))
    .select('m.*', 'a.name as by').where({ 'm.weakness_id': id }).orderBy(['m.at', 'm.id']) as MoveRow[];
  const plans = await tx('plans').where({ weaknessId: id }).orderBy('made_at', 'desc') as LoadedWeakness['plans'];
  const rows = await tx('reps').where({ weaknessId: id }).orderBy(['flown_at', 'id']) as (Rep & { takenBackAt: string | null })[];
  const reps = rows.map((row) => ({ ...row, takenBack: row.takenBackAt !== null }));
  const facts: WeaknessFacts = {
    causeId: weakness.causeId, pilot, rule, moves, reps,
    keyDrills: keyDrillsOfPlan(weakness.causeId, pilot.mode, plans[0]?.drillIds ?? []),
  };
  return { weakness, pilot, moves, plans, reps, rule, facts };
}

/** Works the weakness out again and keeps what lists need to know about it. */
export async function refreshWeakness(school: SchoolTx, id: string): Promise<Clearance> {
  const { facts } = await loadWeakness(school, id);
  const clearance = clearanceOf(facts);
  await school.tx('weaknesses').where({ id }).update({
    state: clearance.state,
    checkFrom: clearance.check?.from ?? null,
    checkPassed: clearance.check?.passed ?? false,
    signedEarly: clearance.signedEarly,
    rungs: clearance.rungs.map((rung) => rung.share),
  });
  return clearance;
}
