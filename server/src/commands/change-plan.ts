import type { changePlan as command } from '@skelby/core/commands/change-plan';
import { causeOf } from '@skelby/core/causes/causes';
import { decidingAmong } from '@skelby/core/plan/key-drills';
import { isProposal, planProblem } from '@skelby/core/plan/propose-plan';
import { recordEvent } from '../facts/events';
import { knownOf } from '../facts/known-of-pilot';
import { refreshWeakness } from '../facts/refresh-weakness';
import { loadFacts, lockWeakness } from '../facts/weakness-facts';
import { badField } from '../problem/problem';
import type { Handler } from './handler';

import { REASON_WANTED } from '@skelby/core/weakness/allowed-moves';
/** Puts a plan in force; earlier ones stay in the history. */
export const changePlan: Handler<typeof command> = async (
  school,
  { keys: { id: named, planId: id }, fields: { drillIds, reason, at } },
) => {
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
  await tx('plans').insert({
    schoolId,
    id,
    weaknessId,
    accountId,
    drillIds: [...drillIds],
    decides: decidingAmong(causeOf(causeId), drillIds),
    reason,
    ...(at ? { madeAt: at } : {}),
  });
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
};
