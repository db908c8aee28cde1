import { causeOf, type CauseId } from '@skelby/core/causes/causes';
import { insideItsDrills } from '@skelby/core/restrictions/restrictions';

/** What a pilot may not fly until cleared, and how far that holds inside the drills that lift it. */
export const untilCleared = (causeId: CauseId): string =>
  `${causeOf(causeId).restriction}. ${insideItsDrills(causeId)}`;
