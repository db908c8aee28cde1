import type { settleHistory as settle, undoSettling as undo } from '@skelby/core/commands/settle-history';
import { recordEvent } from '../facts/events';
import type { Handler } from './handler';

/** Settles what happened up to a day and is neither confirmed nor begun. @returns how many that were */
export const settleHistory: Handler<typeof settle> = async (school, { keys: { id }, fields: { until } }) => {
  const settled = await school
    .tx('occurrences as o')
    .whereNull('o.confirmed_cause_id')
    .whereNull('o.withdrawn_at')
    .whereNull('o.settling_id')
    .where('o.day', '<=', until)
    .whereNotExists((begun) =>
      begun.from('debriefs as d').whereRaw('d.school_id = o.school_id and d.occurrence_id = o.id'),
    )
    .update({ settlingId: id });
  // Asked for twice, it has been done: told once.
  if (settled > 0)
    await recordEvent(school, {
      action: 'settled-history',
      subject: 'occurrence',
      subjectId: id,
      data: { until, settled },
    });
  return { id, settled };
};

export const undoSettling: Handler<typeof undo> = async (school, { keys: { id } }) => {
  const back = await school.tx('occurrences').where({ settlingId: id }).update({ settlingId: null });
  if (back > 0)
    await recordEvent(school, {
      action: 'settling-undone',
      subject: 'occurrence',
      subjectId: id,
      data: { back },
    });
  return { id, back };
};
