import { inBrowser } from './in-browser';

const SLOWED = 4;
const ANSWERS = 12;

/**
 * Milliseconds that each ranking of a debrief took in the page, processor slowed 4×, from the app's own
 * marks.
 */
export function measureBrowserRanking(base: string, executablePath: string): Promise<readonly number[]> {
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await page.goto(base);
    const times: number[] = [];
    for (const name of [/Cai Penhallis.*Crash/, /Davit Orrel.*Near-miss/, /Tove Lindqvane.*Near-miss/]) {
      await page.goto(base);
      await page.getByRole('link', { name }).first().click();
      await page.getByRole('link', { name: 'Debrief', exact: true }).click();
      await page.getByRole('button', { name: 'I cannot say yet' }).click();
      await page.getByRole('button', { name: 'None of these' }).click();
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
      for (let i = 0; i < ANSWERS; i += 1) {
        const question = page.getByRole('heading', { level: 2 }).first();
        const asked = await question.textContent();
        if (asked === 'Enough asked') break;
        const group = page.getByRole('group', { name: asked ?? '' });
        if (await group.count()) await group.getByRole('button').first().click();
        else await page.getByRole('button', { name: 'Skip' }).click();
        await page.waitForFunction(
          (before) => document.querySelector('[aria-level="2"]')?.textContent !== before,
          asked,
        );
      }
      await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      times.push(
        ...(
          await page.evaluate(() =>
            performance.getEntriesByName('skelby.rank').map((entry) => entry.duration),
          )
        ).slice(1),
      );
    }
    return times.sort((a, b) => a - b);
  });
}
