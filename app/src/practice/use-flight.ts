import { CENTRED, type ModeNow, type StickNow } from '@skelby/core/flight/control';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Shown, ToFly, ToStart } from './practice.worker';

export type FlightStart = Omit<ToStart, 'do' | 'seed'>;

interface Flying {
  /** Begins again at the start. */
  readonly again: () => void;
  readonly failed: string | null;
}

/**
 * Flies beside the page: once a frame it sends the sticks and gets back where the craft is.
 * @param from what is flown; keep it stable, a new one begins anew
 * @param sticks read once a frame
 * @param onFrame called with each new place
 */
export function useFlight(from: FlightStart, mode: ModeNow, sticks: () => StickNow, onFrame: (shown: Shown) => void): Flying {
  const worker = useRef<Worker | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const now = useRef({ mode, sticks, onFrame });
  now.current = { mode, sticks, onFrame };
  const begin = useCallback(() => worker.current?.postMessage({ do: 'start', ...from, seed: Math.floor(Math.random() * 1e9) } satisfies ToStart), [from]);
  useEffect(() => {
    const own = new Worker(new URL(require.unstable_resolveWorker('./practice.worker.ts'), window.location.href), { type: 'module' });
    worker.current = own;
    let frame = 0;
    let last: number | null = null;
    let answered = true;
    own.onmessage = (event: MessageEvent<Shown>) => { answered = true; now.current.onFrame(event.data); };
    own.onerror = (event) => setFailed(event.message || 'The part that flies did not load: reload the page.');
    begin();
    const tick = (at: number) => {
      frame = requestAnimationFrame(tick);
      // A worker that has fallen behind is not given more.
      if (!answered) return;
      const seconds = last === null ? 0 : (at - last) / 1000;
      last = at;
      answered = false;
      const { mode: flown, sticks: read } = now.current;
      own.postMessage({ do: 'fly', sticks: read() ?? CENTRED, mode: flown, seconds } satisfies ToFly);
    };
    frame = requestAnimationFrame(tick);
    return () => { cancelAnimationFrame(frame); own.terminate(); worker.current = null; };
  }, [begin]);
  return { again: begin, failed };
}
