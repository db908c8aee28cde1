import type { handOver as command } from '@skelby/core/commands/hand-over';
import { recordEvent } from '../facts/events';
import { trainersOf } from '../facts/trainers';
import { badField, notFound } from '../problem/problem';
import type { Handler } from './handler';

/** Says who trains a pilot from now on. Everybody goes on seeing the pilot: whoever stands beside a crash logs it. */
export const handOver: Handler<typeof command> = async (school, { keys: { id }, fields }) => {
  const { tx } = school;
  const trainerIds = [...new Set(fields.trainerIds)];
  const before = (await tx('pilots').where({ id }).forNoKeyUpdate().first('trainer_ids')) as
    { readonly trainerIds: readonly string[] } | undefined;
  if (!before) throw notFound('pilot');
  const there = new Set((await trainersOf(school)).map((each) => each.id));
  if (trainerIds.some((each) => !there.has(each)))
    throw badField(
      'trainerIds',
      'Trainer is none of those who train in your school now: pick from the list.',
    );
  if ([...trainerIds].sort().join() === [...before.trainerIds].sort().join()) return { id };
  await tx('pilots').where({ id }).update({ trainerIds });
  await recordEvent(school, {
    action: 'handed-over',
    subject: 'pilot',
    subjectId: id,
    pilotId: id,
    reason: fields.reason,
    data: { trainerIds: [before.trainerIds, trainerIds] },
  });
  return { id };
};
