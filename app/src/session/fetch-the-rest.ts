/** Named in the page by the build: the parts of the app that the first page does without. */
const LIST = 'meta[name="skelby-parts"]';

/**
 * Fetches the other parts of the app into the browser's cache once the first page is up, so that
 * walking out of signal does not leave a trainer with half an app.
 * @returns stops it
 */
export function fetchTheRest(): () => void {
  const parts = document.querySelector(LIST)?.getAttribute('content')?.split(' ').filter(Boolean) ?? [];
  let stopped = false;
  const timer = setTimeout(() => {
    void (async () => {
      for (const part of parts) {
        if (stopped) return;
        // Out of reach now: the part is fetched when it is wanted.
        await fetch(part, { priority: 'low' }).catch(() => undefined);
      }
    })();
  }, 1500);
  return () => { stopped = true; clearTimeout(timer); };
}
