import type { recordCourseFact as command } from '@skelby/core/commands/record-course-fact';
import { differences, recordWhere } from '../facts/events';
import { badField, conflict, notFound } from '../problem/problem';
import type { Handler } from './handler';

/** Writes down what is said of a pilot on the course. The same again is the same fact. */
export const recordCourseFact: Handler<typeof command> = async (
  school,
  { keys: { id: pilotId, factId }, fields },
) => {
  const { tx, schoolId, accountId } = school;
  const pilot = (await tx('pilots').where({ id: pilotId }).first('forgotten_at')) as
    { forgottenAt: string | null } | undefined;
  if (!pilot) throw notFound('pilot');
  if (pilot.forgottenAt !== null) throw conflict('This pilot was forgotten: nothing more is said of them.');
  if (fields.factId !== null) {
    const taken = (await tx('course_facts').where({ id: fields.factId, pilotId }).first('kind')) as
      { kind: string } | undefined;
    if (!taken || taken.kind === 'taken-back')
      throw badField('factId', 'Key names nothing that can be taken back of this pilot: read the page anew.');
  }
  const insert = tx('course_facts')
    .insert({ schoolId, id: factId, pilotId, accountId, ...fields })
    .onConflict(['school_id', 'id'])
    .ignore()
    .returning('id');
  const isNew = await recordWhere(school, insert, {
    ...{
      action: fields.kind === 'taken-back' ? 'taken-back' : 'recorded',
      subject: 'course',
      subjectId: factId,
    },
    ...{ pilotId, data: fields },
    ...(fields.reason === '' ? {} : { reason: fields.reason }),
  });
  if (isNew) return { id: factId };
  const row = (await tx('course_facts').where({ id: factId }).first()) as Record<string, unknown>;
  if (differences(row, { ...fields, pilotId, at: new Date(fields.at).toISOString() }))
    throw conflict('This is already recorded otherwise: take it back and record a new one.');
  return { id: factId };
};
