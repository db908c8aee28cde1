import type { Cause } from '../causes/cause';
import { type DrillId, drillOf } from '../drills/drills';
import { type FlightMode, onReleaseIn } from '../vocabulary/flying';

/** Whether a pilot who flies in this mode can fly the drill at all. */
export function suits(drillId: DrillId, mode: FlightMode): boolean {
  const { craft } = drillOf(drillId);
  return craft === undefined || craft === onReleaseIn(mode);
}

/** The one or two flown drills whose test reps decide for a pilot who flies in this mode. */
export const keyDrillsFor = (cause: Cause, mode: FlightMode): readonly DrillId[] =>
  cause.key.filter((id) => suits(id, mode));
