import { inBrowser } from './in-browser';

const SLOWED = 4;
const ANSWERS = 12;

/**
 * Milliseconds that each ranking of a debrief took, from the app's own marks, times four by hand for a phone: the worker
 * that ranks is slowed by no browser.
 */
export function measureBrowserRanking(base: string, executablePath: string): Promise<readonly number[]> {
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    await page.goto(base);
    const times: number[] = [];
    for (const name of [/Cai Penhallis.*Crash/, /Davit Orrel.*Near-miss/, /Tove Lindqvane.*Near-miss/]) {
      await page.goto(base);
      await page.getByRole('link', { name }).first().click();
      await page.getByRole('link', { name: 'Debrief', exact: true }).click();
      await page.getByRole('button', { name: 'I cannot say yet' }).click();
      await page.getByRole('button', { name: 'None of these' }).click();
      for (let i = 0; i < ANSWERS; i += 1) {
        const question = page.getByRole('heading', { level: 2 }).first();
        const asked = await question.textContent();
        if (asked === 'Enough asked') break;
        // As a thumb would: what comes sooner, in the same place, is taken for a bounce.
        await page.waitForTimeout(400);
        const group = page.getByRole('group', { name: asked ?? '' });
        if (await group.count()) await group.getByRole('button').first().click();
        else await page.getByRole('button', { name: 'Skip' }).click();
        await page.waitForFunction(
          (before) => document.querySelector('[aria-level="2"]')?.textContent !== before,
          asked,
        );
      }
      times.push(
        ...(
          await page.evaluate(() =>
            performance.getEntriesByName('skelby.rank').map((entry) => entry.duration),
          )
        )
          .slice(1)
          .map((each) => each * SLOWED),
      );
    }
    return times.sort((a, b) => a - b);
  });
}
