import type { DrillId } from '@skelby/core/drills/drills';
import type { takeRepBack as command } from '@skelby/core/commands/take-rep-back';
import { recordEvent } from '../facts/events';
import { refreshSharing } from '../facts/refresh-weakness';
import { lockWeakness } from '../facts/weakness-facts';
import { notFound } from '../problem/problem';
import type { Handler } from './handler';

/** Takes a rep back, with a reason. It stays in the record and no longer counts. */
export const takeRepBack: Handler<typeof command> = async (school, { keys: { id }, fields: { reason } }) => {
  const rep = (await school.tx('reps').where({ id }).first()) as
    { weaknessId: string; pilotId: string; drillId: DrillId; flownAt: string } | undefined;
  if (!rep) throw notFound('rep');
  await lockWeakness(school, rep.weaknessId);
  const taken = await school
    .tx('reps')
    .where({ id })
    .whereNull('taken_back_at')
    .update({ takenBackAt: school.tx.fn.now(), takenBackReason: reason, takenBackBy: school.accountId });
  if (taken === 0) return { id };
  await recordEvent(school, {
    action: 'taken-back',
    subject: 'rep',
    subjectId: id,
    pilotId: rep.pilotId,
    reason,
  });
  await refreshSharing(school, rep.pilotId, rep);
  return { id };
};
