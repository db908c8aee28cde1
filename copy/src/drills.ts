import type { Drill, DrillGroupId } from '@skelby/core/drills/drill';
import { type DrillId, drillOf } from '@skelby/core/drills/drills';
import { isOwnDrillId } from '@skelby/core/drills/school-book';
import type { DrillWords } from './drill-words';
import { DRILL_GROUP_NAMES, DRILL_WORDS, OWN_DRILL } from './en/drills/drills';

/** A drill with what is said of it. */
export type WordedDrill<Id extends string = string> = Drill<Id> & DrillWords;

/** The house's words for a drill; of a school's own drill only that it is one: `DrillBook` has its words. */
export const drillWords = (id: DrillId): DrillWords => (isOwnDrillId(id) ? OWN_DRILL : DRILL_WORDS[id]);

/** @throws RangeError when no drill has this id */
export function wordedDrill(id: string): WordedDrill<DrillId> {
  const drill = drillOf(id);
  return { ...drill, ...drillWords(drill.id) };
}

export const drillGroupName = (id: DrillGroupId): string => DRILL_GROUP_NAMES[id];
