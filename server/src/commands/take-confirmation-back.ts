import type { takeConfirmationBack as command } from '@skelby/core/commands/take-confirmation-back';
import { v7 as uuid } from 'uuid';
import { unconfirm } from '../facts/confirmation';
import { latestDebrief } from '../facts/debrief-versions';
import { learn } from '../facts/experience';
import type { Handler } from './handler';

/** Takes the confirmation back, and with it opens the debrief that gave it. */
export const takeConfirmationBack: Handler<typeof command> = async (
  school,
  { keys: { id: occurrenceId }, fields },
) => {
  const done = await unconfirm(school, occurrenceId, fields);
  const { at, reason } = fields;
  const before = await latestDebrief(school, occurrenceId);
  if (before?.state !== 'closed') return done;
  const { tx, schoolId, accountId } = school;
  await tx('debriefs').insert({
    schoolId,
    id: uuid(),
    occurrenceId,
    number: before.number + 1,
    state: 'open',
    findings: JSON.stringify(before.findings),
    reason,
    at,
    accountId,
  });
  await learn(school, null, before.lesson);
  return done;
};
