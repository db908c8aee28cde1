import type { MissReason } from '@skelby/core/clearance/facts';
import { keep, kept } from './storage';

/** Mistakes that were marked in a video of what was logged, on their way to its debrief. They stay on this phone. */

const nameOf = (occurrenceId: string): string => `seen-in-video.${occurrenceId}`;

export const keepSeenInVideo = (occurrenceId: string, seen: readonly MissReason[]): void =>
  keep(nameOf(occurrenceId), seen);

export const seenInVideo = (occurrenceId: string): readonly MissReason[] =>
  kept<readonly MissReason[]>(nameOf(occurrenceId)) ?? [];
