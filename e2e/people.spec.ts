import { expect, test } from './field';

/** Who belongs to the school, and what each may do. */

test('an owner invites a reader, who joins, reads everything, enters nothing, and is shown out', async ({
  trainer,
  page,
  browser,
}) => {
  await trainer.today();
  await page.goto('/school');
  await page.getByRole('link', { name: 'Who may do what' }).click();
  await page.getByRole('radio', { name: 'Reader' }).click();
  await expect(page.getByText('Reads, and enters nothing.')).toBeVisible();
  await page.getByRole('button', { name: 'Make an invitation' }).click();
  const link = await page.getByLabel('Link').innerText();

  const theirs = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await theirs.newPage();
  await phone.goto(link);
  await expect(phone.getByText(/^Invited by /)).toBeVisible();
  const email = `reader-${Date.now()}@carrowfell.example`;
  await phone.getByLabel('Your name').fill('Tarn Wetherby');
  await phone.getByLabel('E-mail, to sign in with').fill(email);
  await phone.getByLabel(/^Password/).fill('password1234');
  await phone.getByRole('button', { name: 'Join' }).click();
  await expect(phone.getByText(/^! Password is easily guessed/)).toBeVisible();
  await phone.getByLabel(/^Password/).fill('two kestrels over a cold tarn');
  await phone.getByRole('button', { name: 'Join' }).click();
  await expect(phone.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(phone.getByText('You read here. What you enter is not taken.')).toBeVisible();
  await expect(phone.getByRole('link', { name: 'Log a crash or near-miss' })).toBeHidden();
  await phone.goto('/account');
  await expect(phone.getByText('Here', { exact: true })).toBeVisible();

  await page.goto('/school/people');
  await page.getByRole('button', { name: new RegExp(email) }).click();
  await page.getByRole('button', { name: 'End this account' }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('button', { name: 'Let sign in again' })).toBeVisible();
  await phone.goto('/');
  await expect(phone.getByLabel('Password')).toBeVisible();
  await theirs.close();
});
