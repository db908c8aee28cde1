import { said } from '@skelby/copy/say';
import { causeWords } from '@skelby/copy/causes';
import type { CauseId } from '@skelby/core/causes/causes';
import { insideItsDrills } from '@skelby/core/restrictions/restrictions';

/** What a pilot may not fly until cleared, and how far that holds inside the drills that lift it. */
export const untilCleared = (causeId: CauseId): string =>
  `${causeWords(causeId).restriction}. ${said(insideItsDrills(causeId))}`;
