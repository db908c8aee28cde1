import type { QueryClient } from '@tanstack/react-query';

/** Pages are read anew when the server says that something changed; while it cannot say so, every minute. */

const NAME = 'skelby-live';
const ASKS_EVERY_MS = 60_000;
/** By the HTML standard; a browser without streams has no names for them. */
const [STREAM_OPEN, STREAM_CLOSED] = [1, 2];

/** Pages that stand still while they are looked at, or look for themselves. */
const NOT_READ_ANEW = ['history', 'imports', 'own-second-factor'];

/**
 * One stream for all tabs of a browser, since it has few connections to spare: whoever holds the lock listens and tells
 * the others. When that tab closes, the next one has the lock.
 * @param onChange called at once for a change, and every minute while no stream is open
 * @returns stops it
 */
function hearChanges(onChange: () => void): () => void {
  const stop = new AbortController();
  const tabs = 'BroadcastChannel' in globalThis ? new BroadcastChannel(NAME) : null;
  if (tabs) tabs.onmessage = onChange;
  const both = () => {
    tabs?.postMessage('changed');
    onChange();
  };
  const listen = () =>
    new Promise<void>((resolve) => {
      let stream = open();
      const ask = setInterval(() => {
        if (stream?.readyState === STREAM_OPEN) return;
        both();
        // What the server refused it does not open again by itself.
        if (stream?.readyState === STREAM_CLOSED) stream = open();
      }, ASKS_EVERY_MS);
      stop.signal.addEventListener('abort', () => {
        clearInterval(ask);
        stream?.close();
        resolve();
      });
    });
  const open = () => {
    if (!('EventSource' in globalThis)) return null;
    const stream = new EventSource('/api/live');
    let isFirst = true;
    stream.addEventListener('changed', both);
    stream.addEventListener('open', () => {
      // What changed while it was not open was not told.
      if (!isFirst) both();
      isFirst = false;
    });
    return stream;
  };
  // Where a browser has no locks, over plain HTTP from another machine say, or tabs cannot talk, each listens for itself.
  const locks = tabs ? (navigator.locks as LockManager | undefined) : undefined;
  if (!locks) void listen();
  else
    locks.request(NAME, { signal: stop.signal }, listen).catch((error: unknown) => {
      // Stopped before it had the lock.
      if (!stop.signal.aborted) throw error;
    });
  return () => {
    stop.abort();
    tabs?.close();
  };
}

/** Reads what is on the screen anew whenever something changed, unless nobody looks. */
export function readAnewOnChange(client: QueryClient): () => void {
  let missed = false;
  const read = () => {
    missed = document.visibilityState === 'hidden';
    if (!missed)
      void client.invalidateQueries({
        predicate: ({ queryKey }) => !NOT_READ_ANEW.includes(String(queryKey[0])),
      });
  };
  const seen = () => {
    if (missed && document.visibilityState === 'visible') read();
  };
  document.addEventListener('visibilitychange', seen);
  const stop = hearChanges(read);
  return () => {
    document.removeEventListener('visibilitychange', seen);
    stop();
  };
}
