import type { keepFlown as command } from '@skelby/core/commands/keep-flown';
import { recordEvent } from '../facts/events';
import { lockOccurrence } from '../facts/occurrence-rows';
import type { Handler } from './handler';

/** Puts what a recorded flight answers beside an entry; the same again changes nothing. */
export const keepFlown: Handler<typeof command> = async (school, { keys: { id }, fields: flown }) => {
  const { flown: before, pilotId } = await lockOccurrence(school, id);
  // As the database keeps it: its own order of keys.
  const { rows } = (await school.tx.raw('select ?::jsonb is not distinct from ?::jsonb as same', [
    JSON.stringify(flown),
    before && JSON.stringify(before),
  ])) as { rows: { same: boolean }[] };
  if (rows[0]!.same) return { id, flown };
  await school
    .tx('occurrences')
    .where({ id })
    .update({ flown: JSON.stringify(flown) });
  await recordEvent(school, {
    action: 'changed',
    subject: 'occurrence',
    subjectId: id,
    pilotId,
    data: { flown: [before?.evidence ?? null, flown.evidence] },
  });
  return { id, flown };
};
