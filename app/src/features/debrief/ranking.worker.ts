import { type ToWeigh, weighed } from './weigh';

/**
 * The first rankings of a page take several times what later ones do, while the browser compiles them. The worker goes
 * through some by itself while the trainer still reads, one at a time, so that an answer never waits for more than one.
 */
const WARM_RUNS = 48;
const PAUSE_MS = 8;

let left = WARM_RUNS;
let newest: ToWeigh | null = null;

function warm(): void {
  if (left === 0 || newest === null) return;
  left -= 1;
  weighed(newest);
  setTimeout(warm, PAUSE_MS);
}

self.onmessage = (event: MessageEvent<ToWeigh>) => {
  self.postMessage(weighed(event.data));
  const isFirst = newest === null;
  newest = event.data;
  if (isFirst) setTimeout(warm, PAUSE_MS);
};
