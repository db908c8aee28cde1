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

/** What can be said of an own drill whose words are not at hand: enough for counting its reps. */
const wordless = (id: OwnDrillId): Drill<OwnDrillId> => ({
  id,
  group: 'head',
  kind: 'flown',
  simulator: 'allowed',
  name: 'Own drill',
  trains: '',
  task: '',
  byEye: 'As the school has written it',
  measured: '',
  dose: '',
  sticks: [],
  sides: [],
  assistance: 'as-flown',
  after: [],
});

/** An own drill as the rest of the core knows drills. */
export const asDrill = (id: OwnDrillId, own: OwnDrill): Drill<OwnDrillId> => {
  const { caution, ...words } = own;
  return { ...wordless(id), ...words, ...(caution ? { caution } : {}) };
};

let book: ReadonlyMap<string, DrillVersion> = new Map();

/**
 * Opens the book of the one school that a phone works for: from now on drills are found with its words. A
 * server, which serves many
 * schools, opens none; it counts and never words.
 */
export function openBook(latest: readonly DrillVersion[]): void {
  book = new Map(latest.map((version) => [version.drillId, version]));
}

/** A drill in the school's own words; the house's where it has changed nothing. */
export function inTheBook<Id extends string>(
  id: string,
  house: Drill<Id> | undefined,
): Drill<Id | OwnDrillId> | undefined {
  const version = book.get(id);
  if (!house) {
    if (!isOwnDrillId(id)) return undefined;
    return version ? asDrill(id, version.fields as OwnDrill) : wordless(id);
  }
  if (!version) return house;
  const { byEye, measured, dose } = version.fields;
  return { ...house, byEye, measured, dose };
}

/** Number of the version of its standard that a drill is flown under now; 0: the house standard. */
export const versionInForce = (drillId: DrillId): number => book.get(drillId)?.number ?? 0;

export const ownDrillIds = (): readonly OwnDrillId[] => [...book.keys()].filter(isOwnDrillId);
