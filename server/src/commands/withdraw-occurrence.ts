import type { withdrawOccurrence as command } from '@skelby/core/commands/withdraw-occurrence';
import { recordEvent } from '../facts/events';
import { lockOccurrence } from '../facts/occurrence-rows';
import { conflict } from '../problem/problem';
import type { Handler } from './handler';

/** Withdraws an entry that was made by mistake, with a reason. It stays on record and no longer counts. */
export const withdrawOccurrence: Handler<typeof command> = async (
  school,
  { keys: { id }, fields: { reason } },
) => {
  const occurrence = await lockOccurrence(school, id);
  if (occurrence.withdrawnAt !== null) return { id };
  if (occurrence.confirmedCauseId !== null)
    throw conflict('The cause of this occurrence is confirmed: take the confirmation back first.');
  await school
    .tx('occurrences')
    .where({ id })
    .update({ withdrawnAt: school.tx.fn.now(), withdrawnReason: reason });
  await recordEvent(school, {
    action: 'withdrawn',
    subject: 'occurrence',
    subjectId: id,
    pilotId: occurrence.pilotId,
    reason,
  });
  return { id };
};
