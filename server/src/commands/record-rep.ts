import type { recordRep as command } from '@skelby/core/commands/record-rep';
import type { TestSet } from '@skelby/core/clearance/facts';
import { differences, recordEvent } from '../facts/events';
import { lockWeakness, refreshSharing } from '../facts/weakness-facts';
import { badField, conflict } from '../problem/problem';
import type { Handler } from './handler';

/** Records one attempt. A rep is written once: the same request again is the same rep. */
export const recordRep: Handler<typeof command> = async (school, { keys: { id }, fields: given }) => {
  const { tx, schoolId, accountId } = school;
  const { id: weaknessId, pilotId } = await lockWeakness(school, given.weaknessId);
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
  const added = (await tx('reps')
    .insert({ schoolId, id, pilotId, accountId, ...fields })
    .onConflict(['school_id', 'id'])
    .ignore()
    .returning('id')) as unknown[];
  if (added.length === 0) {
    const row = (await tx('reps').where({ id }).first()) as Record<string, unknown>;
    if (differences(row, { ...fields, flownAt: new Date(fields.flownAt).toISOString() }))
      throw conflict('This rep is already recorded otherwise: take it back and record a new one.');
    return { id };
  }
  await recordEvent(school, { action: 'recorded', subject: 'rep', subjectId: id, pilotId, data: fields });
  await refreshSharing(school, pilotId, fields);
  return { id };
};
