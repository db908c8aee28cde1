import type { recordRep as command } from '@skelby/core/commands/record-rep';
import type { TestSet } from '@skelby/core/clearance/facts';
import { differences, recordWhere } from '../facts/events';
import { refreshSharing } from '../facts/refresh-weakness';
import { lockPilotOf } from '../facts/weakness-facts';
import { badField, conflict } from '../problem/problem';
import type { Handler } from './handler';

const MS_PER_DAY = 86_400_000;

/** A phone's clock may be a day off; a rep that is older than its weakness by more was flown for something else. */
const daysOlder = (flownAt: string, openedAt: string): number =>
  Math.floor((Date.parse(openedAt) - Date.parse(flownAt)) / MS_PER_DAY);

const tooOld = (days: number) =>
  badField(
    'lateReason',
    `Reason is empty: this rep was flown ${days === 1 ? 'a day' : `${days} days`} before its weakness was opened. Say why it is entered now, or leave it out; it counts for nothing before the opening.`,
  );

/** Records one attempt. A rep is written once: the same request again is the same rep. */
export const recordRep: Handler<typeof command> = async (school, { keys: { id }, fields: told }) => {
  const { tx, schoolId, accountId } = school;
  const { lateReason, ...given } = told;
  const { weaknessId, pilotId, openedAt } = await lockPilotOf(school, given.weaknessId);
  const days = daysOlder(given.flownAt, openedAt);
  // One that was recorded before anybody asked is sent again as it was.
  if (days >= 1 && lateReason === '' && !(await tx('reps').where({ id }).first('id'))) throw tooOld(days);
  const fields = { ...given, weaknessId };
  if (fields.testSetId !== null) {
    const set = (await tx('test_sets')
      .where({ id: fields.testSetId, weaknessId })
      .first('drill_id', 'side')) as Pick<TestSet, 'drillId' | 'side'> | undefined;
    if (!set || set.drillId !== fields.drillId || set.side !== fields.side)
      throw badField(
        'testSetId',
        'Announced set is none of this drill and side: announce the tests first, or record it as practice.',
      );
  }
  const insert = tx('reps')
    .insert({ schoolId, id, pilotId, accountId, ...fields })
    .onConflict(['school_id', 'id'])
    .ignore()
    .returning('id');
  const isNew = await recordWhere(school, insert, {
    ...{ action: 'recorded', subject: 'rep', subjectId: id, pilotId, data: fields },
    ...(lateReason === '' ? {} : { reason: lateReason }),
  });
  if (!isNew) {
    const row = (await tx('reps').where({ id }).first()) as Record<string, unknown>;
    if (differences(row, { ...fields, flownAt: new Date(fields.flownAt).toISOString() }))
      throw conflict('This rep is already recorded otherwise: take it back and record a new one.');
    return { id };
  }
  await refreshSharing(school, pilotId, fields);
  return { id };
};
