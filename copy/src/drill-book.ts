import type { Drill } from './drill';
import { DRILLS, type DrillId, drillOf } from './drills';
import { asDrill, type DrillVersion, isOwnDrillId, type OwnDrill } from './school-book';

export type FindDrill = (id: string) => Drill<DrillId>;

/** The drills of one school: the house's with its own words, and those that it has written itself. */
export interface DrillBook {
  /** @throws RangeError when no drill has this id */
  readonly drillOf: FindDrill;
  /** Number of the version of its standard that a drill is flown under now; 0: the house standard. */
  readonly versionInForce: (drillId: DrillId) => number;
  readonly all: readonly Drill<DrillId>[];
  /** The newest version of each changed standard and own drill. */
  readonly latest: readonly DrillVersion[];
}

/** @param versions in any order; of each drill the newest counts */
export function bookOf(versions: readonly DrillVersion[]): DrillBook {
  const newest = new Map<string, DrillVersion>();
  for (const version of versions)
    if ((newest.get(version.drillId)?.number ?? 0) < version.number) newest.set(version.drillId, version);
  const find: FindDrill = (id) => {
    const version = newest.get(id);
    if (!version) return drillOf(id);
    if (isOwnDrillId(id)) return asDrill(id, version.fields as OwnDrill);
    const { byEye, measured, dose } = version.fields;
    return { ...drillOf(id), byEye, measured, dose };
  };
  const ids = [...DRILLS.map((drill) => drill.id), ...[...newest.keys()].filter(isOwnDrillId)];
  return {
    drillOf: find,
    versionInForce: (drillId) => newest.get(drillId)?.number ?? 0,
    all: ids.map(find),
    latest: [...newest.values()],
  };
}
