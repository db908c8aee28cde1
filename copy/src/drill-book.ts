import {
  asDrill,
  type DrillVersion,
  isOwnDrillId,
  type OwnDrill,
  type OwnDrillId,
} from '@skelby/core/drills/school-book';
import { DRILLS, type DrillId } from '@skelby/core/drills/drills';
import { type WordedDrill, wordedDrill } from './drills';

export type FindWordedDrill = (id: string) => WordedDrill<DrillId>;

/** An own drill with the words its school has written. */
const ownDrill = (id: OwnDrillId, own: OwnDrill): WordedDrill<OwnDrillId> => {
  const { name, trains, task, byEye, measured, dose, caution } = own;
  return { ...asDrill(id, own), name, trains, task, byEye, measured, dose, ...(caution ? { caution } : {}) };
};

/** The drills of one school: the house's with its own words, and those that it has written itself. */
export interface DrillBook {
  /** @throws RangeError when no drill has this id */
  readonly drillOf: FindWordedDrill;
  /** Number of the version of its standard that a drill is flown under now; 0: the house standard. */
  readonly versionInForce: (drillId: DrillId) => number;
  readonly all: readonly WordedDrill<DrillId>[];
  /** The newest version of each changed standard and own drill. */
  readonly latest: readonly DrillVersion[];
}

/** @param versions in any order; of each drill the newest counts */
export function bookOf(versions: readonly DrillVersion[]): DrillBook {
  const newest = new Map<string, DrillVersion>();
  for (const version of versions)
    if ((newest.get(version.drillId)?.number ?? 0) < version.number) newest.set(version.drillId, version);
  const find: FindWordedDrill = (id) => {
    const version = newest.get(id);
    if (!version) return wordedDrill(id);
    if (isOwnDrillId(id)) return ownDrill(id, version.fields as OwnDrill);
    const { byEye, measured, dose } = version.fields;
    return { ...wordedDrill(id), byEye, measured, dose };
  };
  const ids = [...DRILLS.map((drill) => drill.id), ...[...newest.keys()].filter(isOwnDrillId)];
  return {
    drillOf: find,
    versionInForce: (drillId) => newest.get(drillId)?.number ?? 0,
    all: ids.map(find),
    latest: [...newest.values()],
  };
}
