import type { HouseDrillId } from '@skelby/core/drills/drills';
import type { Level } from '@skelby/core/vocabulary/training';
import type { WordedDrill } from './drills';
import { LEVEL_BESIDE_STANDARD, PRACTICE_LEVELS } from './en/levels';

/** What is asked at a level, by eye, and what that level is called beside the standard. */
export interface LevelWords {
  readonly asks: string;
  readonly named: string;
}

/**
 * What a practice block asks for. A school's own drill, or one whose standard it has changed, has no words for other
 * levels: there the standard is said, to be made easier or harder by the trainer.
 * @param drill with the school's own words
 */
export function atLevel(
  drill: Pick<WordedDrill, 'id' | 'byEye'>,
  level: Level,
  isChanged: boolean,
): LevelWords {
  const named = LEVEL_BESIDE_STANDARD[level];
  const words = isChanged ? undefined : PRACTICE_LEVELS[drill.id as HouseDrillId];
  if (level === 0 || !words) return { asks: drill.byEye, named };
  return { asks: words[level === 1 ? 2 : ((level + 2) as 0 | 1)], named };
}
