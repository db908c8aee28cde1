import type { DrillId } from '@skelby/core/drills/drills';
import type { Purpose } from '@skelby/core/clearance/facts';
import type { Drill, Side } from '@skelby/core/drills/drill';
import { isOwnDrillId } from '@skelby/core/drills/school-book';
import { type Href } from 'expo-router';
import { LinkButton } from './Button';

/** Whether the simulator has a course for the drill; for those that a school wrote itself it has none. */
export const isFlownHere = (drill: Drill<DrillId>): boolean =>
  drill.kind === 'flown' && drill.simulator !== 'no-use' && !isOwnDrillId(drill.id);

/** Whose practice it is, and where its reps go. */
export interface Practiser {
  readonly pilot?: string;
  readonly weakness?: string;
  readonly purpose?: Purpose;
  readonly side?: Side | null;
  /** Session in the field to go back to. */
  readonly session?: string;
}

export function practiceHref(drillId: DrillId, { purpose, ...whose }: Practiser): Href {
  const said = Object.entries({ ...whose, purpose: purpose === 'test' ? 'test' : undefined }).filter(
    (each): each is [string, string] => Boolean(each[1]),
  );
  return `/drills/${drillId}/practice${said.length > 0 ? `?${new URLSearchParams(said).toString()}` : ''}` as Href;
}

/** To the simulator, for a drill that can be flown there. */
export function SimulatorLink({
  drill,
  label,
  with: whose,
}: {
  readonly drill: Drill<DrillId>;
  readonly label: string;
  readonly with: Practiser;
}) {
  return isFlownHere(drill) ? (
    <LinkButton kind="quiet" icon="monitor" label={label} href={practiceHref(drill.id, whose)} />
  ) : null;
}
