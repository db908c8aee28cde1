import type { announceTests as announce } from '@skelby/core/commands/announce-tests';
import type { callOffTests as callOff } from '@skelby/core/commands/call-off-tests';
import { recordEvent } from '../facts/events';
import { dropSince } from '../facts/checkpoints';
import { refreshWeakness } from '../facts/refresh-weakness';
import { lockWeakness } from '../facts/weakness-facts';
import { notFound } from '../problem/problem';
import type { Handler } from './handler';

/** Announces so many tests before the first of them; the same request again is the same set. */
export const announceTests: Handler<typeof announce> = async (
  school,
  { keys: { id: named, setId: id }, fields },
) => {
  const { tx, schoolId, accountId } = school;
  const { id: weaknessId, pilotId } = await lockWeakness(school, named);
  if (await tx('test_sets').where({ id }).first('id')) return { id };
  await tx('test_sets').insert({ schoolId, id, weaknessId, accountId, ...fields });
  await dropSince(school, weaknessId, fields.at);
  await recordEvent(school, {
    action: 'announced',
    subject: 'test-set',
    subjectId: id,
    pilotId,
    data: { weaknessId, ...fields },
  });
  await refreshWeakness(school, weaknessId);
  return { id };
};

/** Calls off what was announced and has no result. */
export const callOffTests: Handler<typeof callOff> = async (
  school,
  { keys: { id: named, setId: id }, fields: { at } },
) => {
  const { tx } = school;
  const { id: weaknessId, pilotId } = await lockWeakness(school, named);
  const set = (await tx('test_sets').where({ id, weaknessId }).first('at', 'called_off_at')) as
    { readonly at: string; readonly calledOffAt: string | null } | undefined;
  if (!set) throw notFound('announced set');
  if (set.calledOffAt !== null) return { id };
  await tx('test_sets').where({ id }).update({ calledOffAt: at });
  await dropSince(school, weaknessId, set.at);
  await recordEvent(school, {
    action: 'called-off',
    subject: 'test-set',
    subjectId: id,
    pilotId,
    data: { at },
  });
  await refreshWeakness(school, weaknessId);
  return { id };
};
