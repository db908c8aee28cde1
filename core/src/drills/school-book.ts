import type { DrillId } from './drills';
import { UUID } from '../vocabulary/key';
import type { Axis } from '../vocabulary/flying';
import type { Drill, DrillGroupId, DrillKind, SimulatorUse } from './drill';

/** The words of a standard that a school may change. */
export interface Standard {
  readonly byEye: string;
  readonly measured: string;
  readonly dose: string;
}

/**
 * A drill that a school has written itself. It is practised and never decides: nothing is known of how hard
 * its standard is.
 */
export interface OwnDrill extends Standard {
  readonly name: string;
  readonly trains: string;
  readonly task: string;
  readonly caution: string;
  readonly group: DrillGroupId;
  readonly kind: DrillKind;
  readonly simulator: SimulatorUse;
  readonly sticks: readonly Axis[];
}

/**
 * One version of a changed standard, or of an own drill. Versions are only ever added; the house standard is
 * version 0.
 */
export interface DrillVersion {
  readonly drillId: DrillId;
  readonly number: number;
  readonly fields: Standard | OwnDrill;
}

const OWN_ID = new RegExp(`^own-${UUID.source.slice(1)}`);

export type OwnDrillId = `own-${string}`;

export const isOwnDrillId = (id: string): id is OwnDrillId => OWN_ID.test(id);

/** An own drill without its words. */
export const wordless = (id: OwnDrillId): Drill<OwnDrillId> => ({
  id,
  group: 'head',
  kind: 'flown',
  leastS: 3,
  simulator: 'allowed',
  sticks: [],
  sides: [],
  assistance: 'as-flown',
  after: [],
});

/** An own drill as the rest of the core knows drills. */
export const asDrill = (id: OwnDrillId, { group, kind, simulator, sticks }: OwnDrill): Drill<OwnDrillId> => ({
  ...wordless(id),
  group,
  kind,
  simulator,
  sticks,
});
