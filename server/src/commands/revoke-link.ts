import type { revokeLink as command } from '@skelby/core/commands/revoke-link';
import { recordEvent } from '../facts/events';
import type { Handler } from './handler';

export const revokeLink: Handler<typeof command> = async (school, { keys: { id } }) => {
  const rows = (await school
    .tx('pilot_links')
    .where({ id })
    .whereNull('revoked_at')
    .update({ revokedAt: school.tx.fn.now() })
    .returning('pilot_id')) as { pilotId: string }[];
  if (rows[0])
    await recordEvent(school, {
      action: 'revoked',
      subject: 'link',
      subjectId: id,
      pilotId: rows[0].pilotId,
    });
  return { id };
};
