import type Router from '@koa/router';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { liveMoves } from '@skelby/core/clearance/standing';
import { isProposal, planProblem } from '@skelby/core/plan/propose-plan';
import { type MoveFields, moveShape, planShape } from '@skelby/core/schemas/loop';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { badField, conflict } from '../http/problems';
import { recordEvent } from './events';
import { assertNotFuture } from './when';
import { knownOf } from './known-of-pilot';
import { loadFacts, type LoadedFacts, lockWeakness, ownKey, refreshWeakness } from './weakness-facts';

/** A weakness with the facts that decide it; the app works out the rungs from these with the same core. */
export async function weaknessPage(school: SchoolTx, named: string) {
  const { tx } = school;
  const id = await ownKey(tx, named);
  const { rule, reps, pilotId } = await loadFacts(school, id);
  return {
    weakness: (await tx('weaknesses').where({ id }).first()) as unknown,
    known: await knownOf(school, pilotId, id),
    pilot: (await tx('pilots').where({ id: pilotId }).first()) as unknown,
    rule,
    reps,
    moves: (await tx('moves as m')
      .leftJoin('accounts as a', (on) => on.on('a.school_id', 'm.school_id').andOn('a.id', 'm.account_id'))
      .select('m.*', 'a.name as by')
      .where({ 'm.weakness_id': id })
      .orderBy(['m.at', 'm.id'])) as unknown,
    plans: (await tx('plans').where({ weaknessId: id }).orderBy('made_at', 'desc')) as unknown,
    occurrences: (await tx('occurrences')
      .where({ weaknessId: id })
      .orderBy('happened_at', 'desc')) as unknown,
  };
}

const REASON_WANTED = 'Reason is empty: say why in a few words.';

/** Puts a plan in force; earlier ones stay in the history. */
export async function putPlan(
  school: SchoolTx,
  named: string,
  id: string,
  body: unknown,
): Promise<{ id: string }> {
  const { drillIds, reason } = await planShape.validate(body, { abortEarly: false });
  const { tx, schoolId, accountId } = school;
  const { id: weaknessId } = await lockWeakness(school, named);
  if (await tx('plans').where({ id }).first('id')) return { id };
  const { causeId, pilot, pilotId } = await loadFacts(school, weaknessId);
  const problem = planProblem(causeId, pilot.mode, drillIds);
  if (problem) throw badField('drillIds', problem);
  const known = await knownOf(school, pilotId, weaknessId);
  if (
    !reason &&
    !isProposal(causeId, pilot.mode, drillIds, known) &&
    !isProposal(causeId, pilot.mode, drillIds, { track: known.track })
  )
    throw badField('reason', REASON_WANTED);
  await tx('plans').insert({ schoolId, id, weaknessId, accountId, drillIds: [...drillIds], reason });
  await recordEvent(school, {
    action: 'changed',
    subject: 'plan',
    subjectId: id,
    pilotId,
    reason,
    data: { weaknessId, drillIds },
  });
  await refreshWeakness(school, weaknessId);
  return { id };
}

/** Why a trainer's move may not be made now; throws the problem that says so. */
function assertMove(fields: MoveFields, facts: LoadedFacts): void {
  const clearance = clearanceOf(facts);
  const last = liveMoves(facts.moves).at(-1);
  switch (fields.kind) {
    case 'signed':
      if (clearance.state !== 'ready-for-check' || !clearance.check?.passed) {
        throw conflict('Not every rung is met yet: fly the check first, or sign early with a reason.');
      }
      return;
    case 'signed-early':
      if (clearance.state === 'watch' || clearance.state === 'closed' || clearance.state === 'withdrawn')
        throw conflict('This weakness is not open: there is nothing to sign.');
      if (!fields.reason) throw badField('reason', REASON_WANTED);
      return;
    case 'closed':
      if (clearance.state !== 'watch')
        throw conflict('Only a weakness on watch can be closed: sign it first.');
      return;
    case 'undone':
      if (!last || last.id !== fields.undoes || !['signed', 'signed-early', 'closed'].includes(last.kind)) {
        throw conflict('Only the last signature or closing can be undone: reload to see what was last.');
      }
      if (!fields.reason) throw badField('reason', REASON_WANTED);
  }
}

/** Signs, closes, or undoes either. */
export async function putMove(
  school: SchoolTx,
  named: string,
  id: string,
  body: unknown,
): Promise<{ id: string }> {
  const fields = await moveShape.validate(body, { abortEarly: false });
  assertNotFuture('at', fields.at);
  const { id: weaknessId } = await lockWeakness(school, named);
  const facts = await loadFacts(school, weaknessId);
  if (facts.moves.some((move) => move.id === id)) return { id };
  assertMove(fields, facts);
  const { tx, schoolId, accountId } = school;
  const reason = fields.reason || null;
  await tx('moves').insert({
    schoolId,
    id,
    weaknessId,
    kind: fields.kind,
    at: fields.at,
    accountId,
    undoes: fields.kind === 'undone' ? fields.undoes : null,
    reason,
  });
  await recordEvent(school, {
    action: fields.kind,
    subject: 'weakness',
    subjectId: weaknessId,
    pilotId: facts.pilotId,
    reason,
  });
  await refreshWeakness(school, weaknessId);
  return { id };
}

export function weaknessRoutes(router: Router, inSchool: InTheirSchool): void {
  const at = (ctx: Parameters<typeof keyIn>[0]) => keyIn(ctx, 'id', 'weakness');
  router.get(
    '/weaknesses/:id',
    inSchool((school, ctx) => weaknessPage(school, at(ctx))),
  );
  router.put(
    '/weaknesses/:id/plans/:planId',
    inSchool((school, ctx) => putPlan(school, at(ctx), keyIn(ctx, 'planId', 'plan'), bodyOf(ctx))),
  );
  router.put(
    '/weaknesses/:id/moves/:moveId',
    inSchool((school, ctx) => putMove(school, at(ctx), keyIn(ctx, 'moveId', 'move'), bodyOf(ctx))),
  );
}
