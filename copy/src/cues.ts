import type { CueId } from '@skelby/core/vocabulary/cues';
import { CUE_WORDS } from './en/cues';

export const cueWords = (id: CueId): string => CUE_WORDS[id];
