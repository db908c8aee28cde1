import { useEffect, useRef, useState } from 'react';

/** Told where there are none. */
export const NO_WORKERS = 'This browser works nothing out beside the page: use a newer one.';

export interface WorkersAnswer<Answer> {
  /** null until the first is there. */
  readonly answer: Answer | null;
  readonly working: boolean;
  readonly failed: string | null;
}

/**
 * Has something heavy worked out beside the page, the newest wish first.
 * @param make a worker that answers every message with one
 * @param wish null: nothing is wanted
 */
export function useWorker<Wish, Answer>(make: () => Worker, wish: Wish | null): WorkersAnswer<Answer> {
  const worker = useRef<Worker | null>(null);
  const making = useRef(make);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [working, setWorking] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const asked = JSON.stringify(wish);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    const wanted = JSON.parse(asked) as Wish | null;
    if (wanted === null) return;
    // A wish that is overtaken is not worked on to its end.
    worker.current?.terminate();
    if (!('Worker' in globalThis)) {
      setFailed(NO_WORKERS);
      return;
    }
    const own = making.current();
    worker.current = own;
    setWorking(true);
    setFailed(null);
    own.onmessage = (event: MessageEvent<Answer>) => {
      setAnswer(event.data);
      setWorking(false);
    };
    own.onerror = (event) => {
      setWorking(false);
      setFailed(event.message || 'A part of the app did not load: reload the page.');
    };
    own.postMessage(wanted);
  }, [asked]);
  return { answer, working, failed };
}
