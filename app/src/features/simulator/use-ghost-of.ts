import type { Exercise } from '@skelby/core/assessment/exercise';
import type { Drill } from '@skelby/core/drills/drill';
import { useMemo, useState } from 'react';
import { bestOf, closenessOf, type Ghost, ghostPath, keepBest } from './bests';
import type { Scored } from './practice-messages';
import type { PracticeSettings } from './settings';

/** Flights of a drill are held beside each other where side, mode and craft are the same. */
export const drillKind = (
  { id }: Pick<Drill, 'id'>,
  settings: Pick<PracticeSettings, 'side' | 'mode'> | null,
  craftId: string | null,
): string => [id, settings?.side ?? 'one', settings?.mode ?? '', craftId ?? 'usual'].join(' ');

/** What is drawn to fly after, and keeping what is better than the best so far. */
export function useGhostOf(ghost: Ghost, course: Exercise | null, kind: string) {
  const [kept, setKept] = useState(0);
  const path = useMemo(
    () => (course ? ghostPath(ghost, course, kind) : null),
    // Kept anew, it is read anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [ghost, course, kind, kept],
  );
  return {
    ghost,
    path,
    hasBest: bestOf(kind) !== null,
    keep: ({ score, replay, unlike }: Pick<Scored, 'score' | 'replay' | 'unlike'>) => {
      const value = closenessOf(score);
      if (value === null || unlike) return;
      keepBest(kind, value, replay);
      setKept((times) => times + 1);
    },
  };
}
