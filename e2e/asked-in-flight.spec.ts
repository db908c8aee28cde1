import { expect, type Page, test } from './field';

/** Drills in which something is asked while it flies. */

const start = (page: Page) => page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });

test('a setting drawn by lot is read from the display and said, by button or by number key', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills/setting-readback/practice');
  await start(page);
  await expect(page.getByRole('heading', { name: 'Which setting is it in?' })).toBeVisible({
    timeout: 20_000,
  });
  // Over the picture stand the three answers; the same words choose the setting farther down.
  for (const setting of ['Slow', 'Normal', 'Fast'])
    await expect(page.getByRole('button', { name: setting, exact: true }).first()).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: /^4 of 13: Stop at the cone/ })).toBeVisible();
});

test('what is to be judged by eye is not written beside the picture', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/camera-scan/practice');
  await start(page);
  await expect(page.getByRole('img', { name: 'What the camera of the craft sees' })).toBeVisible();
  await expect(page.getByText(/m away$/)).toBeHidden();
  await page.getByRole('button', { name: '4.5 m' }).click({ timeout: 30_000 });
  await expect(page.getByRole('img', { name: 'The field from where the pilot stands' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'How far from you?' })).toBeVisible();
});

test('without sensors there is nothing to find out about them', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/sensor-find-out/practice');
  await expect(page.getByText('Nothing to find out')).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('button', { name: 'Start' })).toBeHidden();
});
