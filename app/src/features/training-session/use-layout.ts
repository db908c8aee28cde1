import { useWorker } from '../../shared/ui/use-worker';
import type { LaidOut, ToLayOut } from './layout.worker';

const layoutWorker = () =>
  new Worker(new URL(require.unstable_resolveWorker('./layout.worker.ts'), window.location.href), {
    type: 'module',
  });

/** Lays sessions out beside the page; null until the first is there. */
export function useLayout(wanted: ToLayOut | null) {
  const { answer: laidOut, working, failed } = useWorker<ToLayOut, LaidOut>(layoutWorker, wanted);
  return { laidOut, working, failed };
}
