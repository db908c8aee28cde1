import type { FirstMinuteId } from '@skelby/core/debrief/first-minutes';
import { FIRST_MINUTE_WORDS } from './en/first-minutes';

export const firstMinuteWords = (id: FirstMinuteId): string => FIRST_MINUTE_WORDS[id];
