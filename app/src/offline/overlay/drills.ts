import type { DrillId } from '@skelby/core/drills/drills';
import { saveDrillVersion } from '@skelby/core/commands/handles';
import type { SchoolDrillVersion } from '@skelby/core/pages/pages';
import { done } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import type { Kept } from './kept';

/** The school's versions with those written on this phone, newest first. */
export function drillsOver(kept: Kept, items: readonly Waiting[]): readonly SchoolDrillVersion[] | undefined {
  const read = kept.get<readonly SchoolDrillVersion[]>('drills');
  if (!read) return undefined;
  const versions = read.data;
  const added = done(saveDrillVersion, notYetIn(items, read.readAt))
    .filter(
      ({ keys: { drillId }, body }) =>
        !versions.some((each) => each.drillId === drillId && each.number === body.base + 1),
    )
    // The form that made it knew the drill: the list of all of them is not wanted on the first page for that.
    .map(({ keys: { drillId }, body: { base, reason, ...fields }, madeAt }) => ({
      drillId: drillId as DrillId,
      number: base + 1,
      fields,
      reason,
      madeAt,
      by: null,
      reps: 0,
    }));
  return added.length === 0 ? versions : [...added.reverse(), ...versions];
}
