import type { Cause } from '../causes/cause';
import { type DrillId, drillOf } from '../drills/drills';
import { type FlightMode, onReleaseIn } from '../vocabulary/flying';

/** Whether a pilot who flies in this mode can fly the drill at all. */
export function suits(drillId: DrillId, mode: FlightMode): boolean {
  const { craft, modes } = drillOf(drillId);
  return (craft === undefined || craft === onReleaseIn(mode)) && (modes?.includes(mode) ?? true);
}

/** The one or two drills whose test reps decide for a pilot who flies in this mode. */
export const keyDrillsFor = (cause: Cause, mode: FlightMode): readonly DrillId[] =>
  cause.key.filter((id) => suits(id, mode));

/** Drills of a plan that may decide, whatever is flown: they are kept with the plan when it is made. */
export const decidingAmong = (cause: Cause, drillIds: readonly DrillId[]): readonly DrillId[] =>
  drillIds.filter((id) => cause.key.includes(id));
