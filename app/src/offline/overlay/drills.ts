import type { SchoolDrillVersion } from '../../shared/api/types';
import { saveDrillVersion } from '@skelby/core/commands/save-drill-version';
import { done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';

/** The school's versions with those written on this phone, newest first. */
export function drillsWith(
  versions: readonly SchoolDrillVersion[] | undefined,
  waiting: readonly Waiting[],
): readonly SchoolDrillVersion[] | undefined {
  if (!versions) return undefined;
  const added = done(saveDrillVersion, waiting)
    .filter(
      ({ keys: { drillId }, body }) =>
        !versions.some((each) => each.drillId === drillId && each.number === body.base + 1),
    )
    .map(({ keys: { drillId }, body: { base, reason, ...fields }, madeAt }) => ({
      drillId,
      number: base + 1,
      fields,
      reason,
      madeAt,
      by: null,
      reps: 0,
    }));
  return added.length === 0 ? versions : [...added.reverse(), ...versions];
}
