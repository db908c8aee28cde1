import { useEffect, useRef, useState } from 'react';
import type { LaidOut, ToLayOut } from './layout.worker';

/** Lays sessions out beside the page, the newest wish first; null until the first is there. */
export function useLayout(wanted: ToLayOut | null): {
  readonly laidOut: LaidOut | null;
  readonly working: boolean;
  readonly failed: string | null;
} {
  const worker = useRef<Worker | null>(null);
  const [laidOut, setLaidOut] = useState<LaidOut | null>(null);
  const [working, setWorking] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const asked = JSON.stringify(wanted);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    const wish = JSON.parse(asked) as ToLayOut | null;
    if (!wish) return;
    // A wish that is overtaken is not worked on to its end.
    worker.current?.terminate();
    const own = new Worker(
      new URL(require.unstable_resolveWorker('./layout.worker.ts'), window.location.href),
      { type: 'module' },
    );
    worker.current = own;
    setWorking(true);
    setFailed(null);
    own.onmessage = (event: MessageEvent<LaidOut>) => {
      setLaidOut(event.data);
      setWorking(false);
    };
    own.onerror = (event) => {
      setWorking(false);
      setFailed(event.message || 'The part that lays out sessions did not load: reload the page.');
    };
    own.postMessage(wish);
  }, [asked]);
  return { laidOut, working, failed };
}
