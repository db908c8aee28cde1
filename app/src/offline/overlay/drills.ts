import type { SchoolDrillVersion } from '../../shared/api/types';
import { done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';

/** The school's versions with those written on this phone, newest first. */
export function drillsWith(
  versions: readonly SchoolDrillVersion[] | undefined,
  waiting: readonly Waiting[],
): readonly SchoolDrillVersion[] | undefined {
  if (!versions) return undefined;
  const added = done('drill', waiting)
    .filter(({ id, body }) => !versions.some((each) => each.drillId === id && each.number === body.base + 1))
    .map(({ id, body: { base, reason, ...fields }, madeAt }) => ({
      drillId: id,
      number: base + 1,
      fields,
      reason,
      madeAt,
      by: null,
      reps: 0,
    }));
  return added.length === 0 ? versions : [...added.reverse(), ...versions];
}
