import type { DrillId } from '@skelby/core/drills/drills';
import type { confirmRepError as command } from '@skelby/core/commands/confirm-rep-error';
import { recordEvent } from '../facts/events';
import { refreshSharing } from '../facts/refresh-weakness';
import { lockWeakness } from '../facts/weakness-facts';
import { conflict, notFound } from '../problem/problem';
import type { Handler } from './handler';

/** Says as a second person that a rep that was taken back was no attempt. */
export const confirmRepError: Handler<typeof command> = async (
  school,
  { keys: { id }, fields: { reason } },
) => {
  const { tx, accountId } = school;
  const read = () =>
    tx('reps').where({ id }).first() as Promise<
      | {
          weaknessId: string;
          pilotId: string;
          drillId: DrillId;
          flownAt: string;
          takenBackAt: string | null;
          takenBackBy: string | null;
          accountId: string | null;
          errorConfirmedBy: string | null;
        }
      | undefined
    >;
  const found = await read();
  if (!found) throw notFound('rep');
  await lockWeakness(school, found.weaknessId);
  const rep = (await read())!;
  if (rep.errorConfirmedBy !== null) return { id };
  if (rep.takenBackAt === null)
    throw conflict('This rep was not taken back: take it back first, with a reason.');
  if (accountId === null || accountId === (rep.takenBackBy ?? rep.accountId))
    throw conflict('Whoever took it back cannot be the second to say so: ask another trainer of the school.');
  await tx('reps').where({ id }).update({ errorConfirmedBy: accountId });
  await recordEvent(school, {
    action: 'error-confirmed',
    subject: 'rep',
    subjectId: id,
    pilotId: rep.pilotId,
    reason,
  });
  await refreshSharing(school, rep.pilotId, rep);
  return { id };
};
