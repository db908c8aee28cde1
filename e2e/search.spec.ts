import { expect, test } from './field';

/** What somebody half remembers is found, and without signal what this phone has. */

test('an entry by a word of its debrief, a link to what was found, and what is left without signal', async ({
  trainer,
  page,
  context,
}) => {
  await trainer.today();
  await page.getByRole('link', { name: 'More' }).click();
  await page.getByRole('link', { name: /^Find/ }).click();
  const box = page.getByLabel('Words you remember');
  await box.fill('quarry gus');
  const entry = page.getByRole('link', { name: /Carried by the wind.*Gust round the quarry corner/ });
  await expect(entry).toBeVisible();
  await expect(page).toHaveURL(/search\?q=quarry(\+|%20)gus/);
  await entry.click();
  await expect(page).toHaveURL(/occurrence/);
  await page.goBack();
  await expect(box).toHaveValue('quarry gus');
  await expect(entry).toBeVisible();

  await page.getByRole('radio', { name: 'Drills' }).click();
  await expect(entry).toBeHidden();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Drills' })).toBeChecked();
  await box.fill('orbit');
  await expect(page.getByRole('link', { name: /orbit/i }).first()).toBeVisible();

  await context.setOffline(true);
  await page.getByRole('radio', { name: 'Everything' }).click();
  await box.fill('hover');
  await expect(page.getByText('Only what is on this phone')).toBeVisible();
  await expect(page.getByRole('link', { name: /hover/i }).first()).toBeVisible();
  await context.setOffline(false);
});
