import { expect, test } from './field';

/** Logging in the field: fast, by thumb, and never lost. */

test('a trainer logs a near-miss in six taps and well under twenty seconds', async ({ trainer, page }) => {
  await trainer.today();
  const started = Date.now();
  const taps = await trainer.log('Bryn Ashdale', 'Near-miss', 'Own wash', 'Settling in own wash');
  await expect(page.getByRole('button', { name: 'Confirm: Settling in own wash' })).toBeVisible();
  expect(taps).toBeLessThanOrEqual(6);
  expect(Date.now() - started).toBeLessThan(20_000);
  await expect(page.getByText('People first')).toBeInViewport();
});

test('place, craft and wind come from the last flight and can be changed later', async ({ trainer, page }) => {
  await trainer.today();
  await trainer.log('Elin Scarrow', 'Crash', 'Obstacles', 'Wire, twig or net');
  await expect(page.getByText(/(Merrow Moor airstrip|Gillet quarry) · Hover \d · wind [\d.]+ m\/s/)).toBeVisible();
  await page.getByRole('link', { name: 'Change the details' }).click();
  await page.getByLabel('What happened').fill('Clipped the sheep netting.');
  await page.getByLabel('Wind, m/s (empty: not known)').fill('');
  await page.getByRole('radio', { name: 'Gillet quarry' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('“Clipped the sheep netting.”')).toBeVisible();
  await expect(page.getByText(/Gillet quarry · Hover \d$/)).toBeVisible();
});

test('a refresh in the middle keeps what was tapped and typed; back goes one question back', async ({ trainer, page }) => {
  await trainer.today();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await page.getByRole('button', { name: 'Jory Tamsett' }).click();
  await page.getByRole('button', { name: 'Crash', exact: true }).click();
  await page.reload();
  await page.getByRole('button', { name: /^Stick handling/ }).click();
  await page.goBack();
  await page.getByRole('button', { name: /^Battery and link/ }).click();
  await page.getByRole('button', { name: /^Lost the radio link/ }).click();
  await page.getByLabel('What happened, in a line (optional)').fill('Walked behind the Land');
  await page.reload();
  await expect(page.getByLabel('What happened, in a line (optional)')).toHaveValue('Walked behind the Land');
  await expect(page.getByText('Jory Tamsett · Crash')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Jory Tamsett' })).toBeVisible();
});

test('without signal the entry waits on the phone, outlives a second entry, and goes out by itself', async ({ trainer, page, context }) => {
  const pilot = await trainer.addPilot('Odd Valebrook');
  await trainer.today();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await page.getByRole('button', { name: pilot }).click();
  await page.getByRole('button', { name: 'Near-miss', exact: true }).click();
  await page.getByRole('button', { name: /^Person and surroundings/ }).click();
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Birds/ }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('1 entry waiting for signal')).toBeVisible();
  await context.setOffline(false);
  await trainer.sent();
  await expect(page.getByText('waiting for signal')).toBeHidden();
  await expect(page.getByRole('link', { name: new RegExp(`${pilot}.*Near-miss today: Birds`) })).toBeVisible();
});

test('the whole of logging works from the keyboard', async ({ trainer, page }) => {
  await trainer.today();
  const press = async (name: string | RegExp, role: 'button' | 'link' = 'button') => { await page.getByRole(role, { name }).focus(); await page.keyboard.press('Enter'); };
  await press('Log a crash or near-miss', 'link');
  await press('Runa Fellgate');
  await press(/^Near-miss$/);
  await press(/^Hold and wind/);
  await press(/^Carried by the wind/);
  await press('Save');
  await expect(page.getByRole('button', { name: 'Confirm: Carried by the wind' })).toBeVisible();
});

test('from a pilot\'s own page the first question is answered already', async ({ trainer, page }) => {
  await trainer.today();
  await page.getByRole('link', { name: 'Pilots' }).click();
  await page.getByRole('link', { name: /^Oska Merrin/ }).click();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await expect(page.getByRole('heading', { name: 'What was it?' })).toBeVisible();
  await page.getByRole('button', { name: 'Crash', exact: true }).click();
  await expect(page.getByText('Oska Merrin · Crash')).toBeVisible();
});
