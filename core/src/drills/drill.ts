import type { Axis, FlightMode, OnRelease } from '../vocabulary/flying';
import type { WindBand } from '../vocabulary/wind-band';

export const DRILL_GROUPS = [
  'hands',
  'hover',
  'pointing',
  'turns',
  'wash',
  'obstacles',
  'air',
  'head',
] as const;
export type DrillGroupId = (typeof DRILL_GROUPS)[number];

/**
 * `flown` with the sticks, on craft or simulator; `spoken`: a reaction or word drill; `ground`: before
 * flying.
 */
export type DrillKind = 'flown' | 'spoken' | 'ground';

/** Whether the simulator comes `first`, is `allowed`, or is of `no-use`. */
export type SimulatorUse = 'first' | 'allowed' | 'no-use';

export const SIDES = [
  'left',
  'right',
  'clockwise',
  'counter-clockwise',
  'tail-on',
  'nose-left',
  'nose-in',
  'nose-right',
] as const;
export type Side = (typeof SIDES)[number];

/** Help the standard assumes: what the pilot really flies with, hold switched off, or a manual mode. */
export type Assistance = 'as-flown' | 'hold-off' | 'manual';

export interface Drill<Id extends string = string> {
  readonly id: Id;
  readonly group: DrillGroupId;
  readonly kind: DrillKind;
  /**
   * Least time from one attempt that was met to the next, s: whoever counts sooner is asked. From the standard where it
   * names a time, else from memory.
   */
  readonly leastS: number;
  readonly simulator: SimulatorUse;
  /** Axes the drill works; the stick plate marks them. */
  readonly sticks: readonly Axis[];
  /** Sides, directions or quarters that are learnt apart and get a chart each. Empty: one chart. */
  readonly sides: readonly Side[];
  /** Wind bands in which the standard must be shown; absent: every band the pilot will fly in. */
  readonly bands?: readonly WindBand[];
  readonly assistance: Assistance;
  /**
   * Flown with position hold off too, by whoever flies so: that form decides, since with hold on a rep that was met
   * measures the craft; as it is usually flown it is a cell of the coverage.
   */
  readonly handsForm?: true;
  /** Absent: any craft. */
  readonly craft?: OnRelease;
  /** Modes of a pilot for whom it makes sense; absent: any. */
  readonly modes?: readonly FlightMode[];
  /** Drills that come before. */
  readonly after: readonly Id[];
  /** Every attempt is one case drawn by lot, whose right answer is known beforehand; see `drill-cases/`. */
  readonly byLot?: true;
  /** Number of parts that are shown one after the other, each with less help. */
  readonly stages?: number;
  /** Distances from the pilot at which it is flown, m; the first is usual. */
  readonly distancesM?: readonly number[];
  /** Openings in spans of the craft, from wide to tight; tests are flown at the last of them. */
  readonly widthsSpans?: readonly number[];
}
