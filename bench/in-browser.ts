import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { CannotGoOn } from '../tools/say';

/** Runs a measurement in a browser on a phone's screen, with a trainer of the demo school signed in. */
export async function inBrowser<T>(
  base: string,
  executablePath: string,
  measure: (context: BrowserContext) => Promise<T>,
): Promise<T> {
  const browser = await chromium.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const { email, password } = DEMO_TRAINERS[0];
    const answer = await context.request.post(`${base}/api/sign-in`, {
      data: { email, password },
      headers: { Origin: base },
    });
    if (!answer.ok()) throw new CannotGoOn(`The bench could not sign in (${answer.status()}).`);
    return await measure(context);
  } finally {
    await browser.close();
  }
}

/**
 * In the page: calls back when what is in the document now has been drawn. The frame is drawn between its
 * callbacks and the next message.
 */
export const AFTER_PAINT = `((drawn) => requestAnimationFrame(() => {
  const { port1, port2 } = new MessageChannel();
  port1.onmessage = drawn;
  port2.postMessage(null);
}))`;

/**
 * Run in every page before its own scripts: notes when Today's first row is drawn, so that the tool that
 * looks on takes no part of the time.
 */
export const NOTE_WHEN_USABLE = `(() => {
  const AFTER_PAINT = ${AFTER_PAINT};
  const look = () => {
    const headings = document.querySelectorAll('[role="heading"], h1, h2, h3');
    if (!Array.from(headings).some((each) => each.textContent === 'To debrief') || !document.querySelector('a[href="/log/what"], a[href^="/log"]')) return;
    watch.disconnect();
    AFTER_PAINT(() => performance.mark('bench.usable'));
  };
  const watch = new MutationObserver(look);
  watch.observe(document, { subtree: true, childList: true });
})()`;

/**
 * Opens the page anew. @returns ms from asking for it until Today is drawn and its main action can be tapped;
 * needs NOTE_WHEN_USABLE
 */
export async function untilUsable(page: Page, base: string): Promise<number> {
  await page.goto('about:blank');
  await page.goto(base, { waitUntil: 'commit' });
  await page.waitForFunction(() => performance.getEntriesByName('bench.usable').length > 0, undefined, {
    polling: 250,
  });
  return page.evaluate(() => performance.getEntriesByName('bench.usable')[0]!.startTime);
}
