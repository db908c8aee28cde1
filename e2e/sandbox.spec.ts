import { expect, tapMet, test } from './field';

/** A school of made-up people, opened from Help, and left again. */

test('the sandbox opens in mid-season, takes reps, and leaves nothing in the own school', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/help');
  await page.getByRole('button', { name: 'Open the sandbox' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible({ timeout: 60_000 });
  const strip = page.getByText('Sandbox: made up');
  await expect(strip).toBeVisible();
  // What was read of the own school is off the phone.
  await page
    .getByRole('link', { name: /Drifted without position hold/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/weakness\//);
  const own = page.url();
  await page.goto(`${own}/reps`);
  await tapMet(page);
  await trainer.sent();
  // A refresh stays in there, and the account is not to be changed from there.
  await page.goto('/account');
  await expect(page.getByText('Not in the sandbox')).toBeVisible();
  await expect(strip).toBeVisible();
  await page.getByRole('button', { name: 'Back to my school' }).click();
  await expect(strip).toBeHidden({ timeout: 20_000 });
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await page.goto(own);
  await expect(page.getByText(/There is no such/).first()).toBeVisible();
});

test('what is not finished keeps one from going there, since the phone would lose it', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Enna Holt');
  await page.goto('/log/pilot');
  await trainer.findPilot(pilot);
  await page.getByRole('button', { name: pilot }).click();
  await page.getByRole('button', { name: 'Crash', exact: true }).click();
  await page.goto('/help');
  await expect(page.getByRole('button', { name: 'Open the sandbox' })).toBeDisabled();
  await page.getByRole('link', { name: 'See them on Today' }).click();
  await page.getByRole('button', { name: new RegExp(`^Throw away: .*${pilot}`) }).click();
  await page.goto('/help');
  await expect(page.getByRole('button', { name: 'Open the sandbox' })).toBeEnabled();
});
