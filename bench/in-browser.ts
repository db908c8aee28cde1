import { type BrowserContext, chromium } from '@playwright/test';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { CannotGoOn } from '../tools/say';

/** Runs a measurement in a browser on a phone's screen, with a trainer of the demo school signed in. */
export async function inBrowser<T>(base: string, executablePath: string, measure: (context: BrowserContext) => Promise<T>): Promise<T> {
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] });
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const { email, password } = DEMO_TRAINERS[0];
    const answer = await context.request.post(`${base}/api/sign-in`, { data: { email, password }, headers: { Origin: base } });
    if (!answer.ok()) throw new CannotGoOn(`The bench could not sign in (${answer.status()}).`);
    return await measure(context);
  } finally {
    await browser.close();
  }
}
