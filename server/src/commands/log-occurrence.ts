import type { logOccurrence as command } from '@skelby/core/commands/log-occurrence';
import { differences, recordEvent } from '../facts/events';
import type { OccurrenceRow } from '../facts/occurrence-rows';
import { lockPilot } from '../facts/weakness-facts';
import { assertNotStale, nextRevision } from '../problem/based-on';
import { conflict } from '../problem/problem';
import type { Handler } from './handler';

/** Logs a crash or near-miss, or corrects the one with this key. */
export const logOccurrence: Handler<typeof command> = async (school, { keys: { id }, fields, body }) => {
  const { tx, schoolId, accountId } = school;
  await lockPilot(school, fields.pilotId);
  const row = (await tx('occurrences').where({ id }).forUpdate().first()) as OccurrenceRow | undefined;
  if (!row) {
    await tx('occurrences').insert({ schoolId, id, loggedBy: accountId, ...fields });
    await recordEvent(school, {
      action: 'logged',
      subject: 'occurrence',
      subjectId: id,
      pilotId: fields.pilotId,
      data: fields,
    });
    return { id, ...fields };
  }
  const changed = differences(
    { ...row },
    { ...fields, happenedAt: new Date(fields.happenedAt).toISOString() },
  );
  if (changed) {
    await assertNotStale(school, row, fields, body);
    if (row.confirmedCauseId && ('causeId' in changed || 'pilotId' in changed)) {
      throw conflict(
        'The cause of this occurrence is confirmed: take the confirmation back before changing its pilot or cause.',
      );
    }
    await tx('occurrences')
      .where({ id })
      .update({ ...fields, ...nextRevision(school, row) });
    await recordEvent(school, {
      action: 'changed',
      subject: 'occurrence',
      subjectId: id,
      pilotId: fields.pilotId,
      data: changed,
    });
  }
  return { id, ...fields };
};
