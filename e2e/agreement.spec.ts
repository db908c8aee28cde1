import { expect, test } from './field';

/** A trainer judges a made-up case alone, and is told what it was written to say. */

test('a case is judged once, and what was said first stays after a reload', async ({ page, trainer }) => {
  await trainer.today();
  await page.getByRole('link', { name: 'More' }).click();
  await page.getByRole('link', { name: /Same case, same cause/ }).click();
  const progress = page.getByText(/\d+ of 12 judged/);
  const before = Number(/\d+/.exec(await progress.innerText())![0]);
  await page.getByRole('button', { name: /^Own wash/ }).click();
  await page.getByRole('button', { name: /^Settling in own wash/ }).click();
  await expect(page.getByText(/So it was written|Written as: /).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(`${before + 1} of 12 judged`)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'You and the cases as written' })).toBeVisible();
});
