import type { DrillId } from '../drills/drills';
import type { ShownRep } from './shown-tests';
import type { Clearance } from './rungs';

/** Days on which each deciding drill was met in a counted test. */
export const daysOf = (keyDrills: readonly DrillId[], tests: readonly ShownRep[]): Clearance['days'] =>
  keyDrills.map((drillId) => ({
    drillId,
    days: [
      ...new Set(tests.filter((rep) => rep.drillId === drillId && rep.met).map((rep) => rep.day)),
    ].sort(),
  }));
