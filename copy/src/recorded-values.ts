import type { DrillId } from '@skelby/core/drills/drills';
import { VALUE_NAMES } from './en/recorded-values';

/** What is written down of a rep of this drill; null where nothing is. */
export const recordedValueWords = (drillId: DrillId): string | null => VALUE_NAMES[drillId] ?? null;
