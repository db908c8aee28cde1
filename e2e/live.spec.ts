import { DEMO_TRAINERS } from '../server/src/demo/school';
import { expect, test, Trainer } from './field';

/** Whoever looks at a page sees what a colleague enters, without asking. */

test('a pilot that a colleague adds is there at once, in every tab of a browser that has one stream', async ({
  trainer,
  page,
  browser,
  baseURL,
}) => {
  await trainer.today();
  const theirs = await browser.newContext({ storageState: await page.context().storageState() });
  const streams: string[] = [];
  const tabs = [await theirs.newPage(), await theirs.newPage()];
  for (const tab of tabs) {
    tab.on('request', (request) => {
      if (request.url().endsWith('/api/live')) streams.push(request.url());
    });
    await tab.goto('/pilots');
    await expect(tab.getByRole('heading', { name: 'Pilots' })).toBeVisible();
  }
  await expect.poll(() => streams.length).toBe(1);

  // Of one's own session nothing is told: this one signs in anew.
  const other = await browser.newContext();
  const { email, password } = DEMO_TRAINERS[0];
  await other.request.post('/api/sign-in', { data: { email, password }, headers: { Origin: baseURL! } });
  const colleague = new Trainer(await other.newPage(), other);
  const name = await colleague.addPilot('Isla Merrow');
  for (const tab of tabs) {
    await tab.bringToFront();
    await expect(tab.getByText(name)).toBeVisible({ timeout: 10_000 });
  }

  // The tab that listened goes: the other one takes over.
  await tabs[0]!.close();
  await expect.poll(() => streams.length).toBe(2);
  const second = await colleague.addPilot('Corrie Vane');
  await expect(tabs[1]!.getByText(second)).toBeVisible({ timeout: 10_000 });
  await Promise.all([theirs.close(), other.close()]);
});
