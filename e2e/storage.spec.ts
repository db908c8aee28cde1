import { expect, test } from './field';

/** A browser without room, or one that keeps nothing for a page: the work goes on, and nothing is said to be safe that is not. */

test('with no room left an occurrence is logged all the same, and the page says what it does not keep', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  const pilot = await trainer.addPilot('Wren Tarnside');
  await page.evaluate(() => {
    for (let size = 1 << 20; size >= 64; size >>= 2)
      try {
        for (let n = 0; ; n += 1) localStorage.setItem(`fill-${size}-${n}`, 'x'.repeat(size));
      } catch {
        // Full for pieces of this size.
      }
  });
  await trainer.today();
  await trainer.log(pilot, 'Near-miss', 'Obstacles', 'Could not stop');
  await expect(page.getByText(/^This browser keeps nothing more/)).toBeVisible();
  await trainer.sent();
  await page.evaluate(() => localStorage.clear());
  await trainer.today();
  await expect(page.getByText(pilot)).toBeVisible();
  await page.goto('/waiting');
  await expect(page.getByText(/ of at most [\d.,]+ MB/)).toBeVisible();
});

test('a browser that refuses to keep anything for the page lets a trainer work with signal', async ({
  trainer,
  page,
}) => {
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException('Denied for this page.', 'SecurityError');
    };
    for (const shelf of ['localStorage', 'sessionStorage'])
      Object.defineProperty(window, shelf, { get: refuse });
    Object.defineProperty(window, 'indexedDB', { value: { open: refuse, deleteDatabase: refuse } });
  });
  await trainer.today();
  const pilot = await trainer.addPilot('Rook Fellside');
  await trainer.today();
  await trainer.log(pilot, 'Near-miss', 'Obstacles', 'Could not stop');
  await expect(page.getByText(/^This browser keeps nothing more/)).toBeVisible();
  // Nothing outlives the page here: it is sent before the page is left.
  await expect.poll(async () => (await page.request.get('/api/today')).text()).toContain(pilot);
  await trainer.today();
  await expect(page.getByText(pilot)).toBeVisible();
});
