import type { FamilyId } from '@skelby/core/causes/cause';
import type { CauseId } from '@skelby/core/causes/causes';
import { CAUSE_WORDS, type CauseWords, FAMILY_WORDS, type FamilyWords } from './en/causes';

export const causeWords = (id: CauseId): CauseWords => CAUSE_WORDS[id];

export const familyWords = (id: FamilyId): FamilyWords => FAMILY_WORDS[id];
