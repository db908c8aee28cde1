import type { DrillId } from '@skelby/core/drills/drills';
import { isOwnDrillId } from '@skelby/core/drills/school-book';
import { COACHING_WORDS, type Coaching, OWN_COACHING } from './en/coaching';

export function coachingOf(drillId: DrillId): Coaching {
  return isOwnDrillId(drillId) ? OWN_COACHING : COACHING_WORDS[drillId];
}
