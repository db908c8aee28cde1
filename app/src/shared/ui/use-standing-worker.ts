import { useEffect, useRef, useState } from 'react';

/**
 * Has something light but frequent worked out beside the page, by one worker that stays. Where there are no workers, or
 * theirs does not load, the page works it out itself: what leans on it cannot wait for another browser.
 * @param make a worker that answers every message with one, in order
 * @param here the same, worked out in the page
 * @param wish the same object as long as nothing in it changes
 * @returns the answer to the newest wish that was answered; null until the first
 */
export function useStandingWorker<Wish, Answer>(
  make: () => Worker,
  here: (wish: Wish) => Answer,
  wish: Wish,
): Answer | null {
  const how = useRef({ make, here });
  const worker = useRef<Worker | null>(null);
  const newest = useRef(wish);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [isAlone, setAlone] = useState(!('Worker' in globalThis));
  useEffect(() => {
    if (isAlone) return;
    const own = how.current.make();
    own.onmessage = (event: MessageEvent<Answer>) => setAnswer(event.data);
    own.onerror = () => setAlone(true);
    worker.current = own;
    own.postMessage(newest.current);
    return () => {
      worker.current = null;
      own.terminate();
    };
  }, [isAlone]);
  useEffect(() => {
    const isFirst = newest.current === wish;
    newest.current = wish;
    if (isAlone) setAnswer(how.current.here(wish));
    else if (!isFirst) worker.current?.postMessage(wish);
  }, [wish, isAlone]);
  return answer;
}
