import type { Ranking } from '@skelby/core/ranking/rank';
import { useEffect } from 'react';
import { useStandingWorker } from '../../shared/ui/use-standing-worker';
import { type ToWeigh, type Weighed, weighed } from './weigh';

const rankingWorker = () =>
  new Worker(new URL(require.unstable_resolveWorker('./ranking.worker.ts'), window.location.href), {
    type: 'module',
  });

/**
 * What was told, ranked beside the page; null until the first is there, then the newest that is worked out.
 * @param told the same object as long as nothing in it changes
 */
export function useRanking(told: ToWeigh): Ranking | null {
  const answer = useStandingWorker<ToWeigh, Weighed>(rankingWorker, weighed, told);
  useEffect(() => {
    if (answer) performance.measure('skelby.rank', { start: 0, duration: answer.ms });
  }, [answer]);
  return answer && answer.ranking;
}
