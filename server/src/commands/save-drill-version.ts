import type { saveDrillVersion as command } from '@skelby/core/commands/save-drill-version';
import { isDrillId } from '@skelby/core/drills/drills';
import { recordEvent } from '../facts/events';
import { notFound, Problem } from '../problem/problem';
import type { Handler } from './handler';

/**
 * Adds a version. Earlier ones stay, and so do the reps flown under them. The same key again adds nothing.
 */
export const saveDrillVersion: Handler<typeof command> = async (
  school,
  { keys: { drillId, id }, fields: { reason, base, ...fields } },
) => {
  if (!isDrillId(drillId)) throw notFound('drill');
  const { tx, schoolId, accountId } = school;
  await tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`drill ${schoolId} ${drillId}`]);
  const there = (await tx('drill_versions').where({ id }).first('number')) as { number: number } | undefined;
  if (there) return { id, number: there.number };
  const last = (await tx('drill_versions')
    .where({ drillId })
    .orderBy('number', 'desc')
    .first('number', 'fields')) as { number: number; fields: Record<string, unknown> } | undefined;
  if ((last?.number ?? 0) !== base) {
    throw new Problem(
      409,
      'Changed meanwhile',
      'Somebody changed this drill since you opened it: look at both and choose.',
      { more: { theirs: last?.fields ?? {}, override: { base: last?.number ?? 0 } } },
    );
  }
  const number = base + 1;
  await tx('drill_versions').insert({
    schoolId,
    id,
    drillId,
    number,
    fields: JSON.stringify(fields),
    reason,
    accountId,
  });
  await recordEvent(school, {
    action: 'changed',
    subject: 'drill',
    subjectId: id,
    reason,
    data: { drillId, number },
  });
  return { id, number };
};
