import type { stampWeakness as command } from '@skelby/core/commands/stamp-weakness';
import { recordEvent } from '../facts/events';
import { refreshWeakness } from '../facts/refresh-weakness';
import { loadFacts, lockWeakness } from '../facts/weakness-facts';
import { badField } from '../problem/problem';
import type { Handler } from './handler';

/** Stamps what the pilot flies with now, with a reason: it decides from then on. */
export const stampWeakness: Handler<typeof command> = async (
  school,
  { keys: { id: named, stampId: id }, fields, body },
) => {
  const { tx, schoolId, accountId } = school;
  const { id: weaknessId } = await lockWeakness(school, named);
  if (await tx('opening_stamps').where({ id }).first('id')) return { id };
  const { stamps, pilotId } = await loadFacts(school, weaknessId);
  const last = stamps.at(-1);
  if (last && fields.at <= last.at)
    throw badField('at', `Time is before the last stamp, of ${last.at}: stamp it again now.`);
  // What an older phone does not know of it does not change either.
  const holdOff = 'holdOff' in (body as object) ? fields.holdOff : (last?.holdOff ?? false);
  await tx('opening_stamps').insert({
    schoolId,
    id,
    weaknessId,
    ...fields,
    holdOff,
    toldBy: 'trainer',
    accountId,
  });
  await recordEvent(school, {
    action: 'stamped',
    subject: 'weakness',
    subjectId: weaknessId,
    pilotId,
    reason: fields.reason,
    data: { mode: fields.mode, windLimitMps: fields.windLimitMps, holdOff },
  });
  await refreshWeakness(school, weaknessId);
  return { id };
};
