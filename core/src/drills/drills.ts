import { AIR_AND_HEAD } from './air-and-head';
import type { Drill } from './drill';
import { HANDS_AND_HOVER } from './hands-and-hover';
import { POINTING_AND_TURNS } from './pointing-and-turns';
import { isOwnDrillId, type OwnDrillId, wordless } from './school-book';
import { SETTINGS_AND_PEOPLE } from './settings-and-people';
import { WASH_AND_OBSTACLES } from './wash-and-obstacles';

const HOUSE = [
  ...HANDS_AND_HOVER,
  ...POINTING_AND_TURNS,
  ...WASH_AND_OBSTACLES,
  ...AIR_AND_HEAD,
  ...SETTINGS_AND_PEOPLE,
] as const;
export type HouseDrillId = (typeof HOUSE)[number]['id'];
/** A drill of the house, or one that a school has written itself. */
export type DrillId = HouseDrillId | OwnDrillId;

export const DRILLS: readonly Drill<HouseDrillId>[] = HOUSE;

const BY_ID: ReadonlyMap<string, Drill<HouseDrillId>> = new Map(DRILLS.map((drill) => [drill.id, drill]));

/**
 * A drill of the house, or what can be said of a school's own without its words: enough for counting its reps.
 * Its words are copy.
 * @throws RangeError when no drill has this id
 */
export function drillOf(id: string): Drill<DrillId> {
  const drill = BY_ID.get(id) ?? (isOwnDrillId(id) ? wordless(id) : undefined);
  if (!drill) throw new RangeError(`There is no drill "${id}".`);
  return drill;
}

export type FindDrill = (id: string) => Drill<DrillId>;

export const isDrillId = (id: string): id is DrillId => BY_ID.has(id) || isOwnDrillId(id);

export const isFlown = (drill: Drill): boolean => drill.kind === 'flown';

/** A drill that has test reps: it is flown, or every attempt is a case drawn by lot. */
export const mayDecide = (drill: Drill): boolean => isFlown(drill) || drill.byLot === true;
