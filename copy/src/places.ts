import type { Failsafe } from '@skelby/core/reconstruct/return-height';
import type { Place } from '@skelby/core/vocabulary/flying';
import { FAILSAFE_WORDS, PLACE_NAMES } from './en/places';

/** What the craft does by itself when the link is lost, as a card says it. */
export const failsafeWords = (action: Failsafe): string => FAILSAFE_WORDS[action];

/** Where something is or is not flown, within a sentence. */
export const placeWords = (place: Place): string => PLACE_NAMES[place];
