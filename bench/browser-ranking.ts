import { chromium } from '@playwright/test';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { CannotGoOn } from '../tools/say';

const SLOWED = 4;
const ANSWERS = 12;

/** Milliseconds that each ranking of a debrief took in the page, processor slowed 4×, from the app's own marks. */
export async function measureBrowserRanking(base: string, executablePath: string): Promise<readonly number[]> {
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] });
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const { email, password } = DEMO_TRAINERS[0];
    const answer = await context.request.post(`${base}/api/sign-in`, { data: { email, password }, headers: { Origin: base } });
    if (!answer.ok()) throw new CannotGoOn(`The bench could not sign in (${answer.status()}).`);
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await page.goto(base);
    const times: number[] = [];
    for (const name of [/Cai Penhallis.*Crash/, /Davit Orrel.*Near-miss/, /Tove Lindqvane.*Near-miss/]) {
      await page.goto(base);
      await page.getByRole('link', { name }).first().click();
      await page.getByRole('link', { name: 'Debrief', exact: true }).click();
      await page.getByRole('button', { name: 'I cannot say yet' }).click();
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
      for (let i = 0; i < ANSWERS; i += 1) {
        const question = page.getByRole('heading', { level: 2 }).first();
        const asked = await question.textContent();
        if (asked === 'Enough asked') break;
        const group = page.getByRole('group', { name: asked ?? '' });
        if (await group.count()) await group.getByRole('button').first().click();
        else await page.getByRole('button', { name: 'Skip' }).click();
        await page.waitForFunction((before) => document.querySelector('[aria-level="2"]')?.textContent !== before, asked);
      }
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      times.push(...(await page.evaluate(() => performance.getEntriesByName('skelby.rank').map((entry) => entry.duration))).slice(1));
    }
    return times.sort((a, b) => a - b);
  } finally {
    await browser.close();
  }
}
