import type { Exercise } from '@skelby/core/assessment/exercise';
import type { Replay } from '@skelby/core/assessment/replay';
import type { Drill } from '@skelby/core/drills/drill';
import { useMemo, useState } from 'react';
import { bestOf, type Ghost, keepBest, wayOf } from './bests';
import type { PracticeSettings } from './settings';

/** Flights of a drill are held beside each other where side, mode and craft are the same. */
export const drillKind = (
  { id }: Pick<Drill, 'id'>,
  settings: Pick<PracticeSettings, 'side' | 'mode'> | null,
  craftId: string | null,
): string => [id, settings?.side ?? 'one', settings?.mode ?? '', craftId ?? 'usual'].join(' ');

/** What is drawn to fly after, and keeping what is better than the best so far. */
export function useGhostOf(ghost: Ghost, course: Exercise | null, kind: string) {
  const [, lookAgain] = useState(0);
  const way = useMemo(() => (course ? wayOf(course) : null), [course]);
  const best = bestOf(kind);
  const path = { none: null, way, best: best?.path ?? null }[ghost];
  return {
    path,
    best: best?.value ?? null,
    /** @returns the best before it; null: it is the first */
    keep: (value: number, replay: Replay): number | null => {
      const before = keepBest(kind, value, replay);
      lookAgain((times) => times + 1);
      return before;
    },
  };
}
