import type { Page } from '@playwright/test';
import { expect, test } from './field';

/** Who belongs to the school, and what each may do. */

/** What a browser keeps of the pages it has read, as text. */
const heldBy = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const opening = indexedDB.open('skelby-read');
        opening.onerror = () => resolve('');
        opening.onsuccess = () => {
          const db = opening.result;
          if (!db.objectStoreNames.contains('queries')) {
            db.close();
            resolve('');
            return;
          }
          const reading = db.transaction('queries').objectStore('queries').getAll();
          reading.onsuccess = () => {
            db.close();
            resolve(JSON.stringify([reading.result, { ...localStorage }]));
          };
        };
      }),
  );

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
  // What may be read is there, what may be entered is not: neither as a way there, nor by its address.
  await phone.locator('a[href^="/weakness/"]').first().click();
  await expect(phone.getByText('Sides and winds', { exact: true }).first()).toBeVisible();
  await expect(phone.getByText(/^Count reps|^Sign early|^Change$/)).toHaveCount(0);
  await phone.goto('/log/pilot');
  await expect(phone.getByText('Not open to your role')).toBeVisible();
  await phone.goto('/account');
  await expect(phone.getByText('Here', { exact: true })).toBeVisible();

  await expect.poll(() => heldBy(phone), { timeout: 15_000 }).toContain('Davit Orrel');
  await page.goto('/school/people');
  await page.getByRole('button', { name: new RegExp(email) }).click();
  await page.getByRole('button', { name: 'End this account' }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('button', { name: 'Let sign in again' })).toBeVisible();
  // The phone hears of it at once, and holds nothing of the school any more.
  await expect(phone.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await expect.poll(() => heldBy(phone)).not.toContain('Davit Orrel');
  await theirs.close();
});

test('signed out without signal, nobody is let in by what the server remembers', async ({
  trainer,
  page,
  context,
}) => {
  await trainer.today();
  await page.goto('/kit');
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
  await context.setOffline(false);
  await page.goto('/pilots');
  await expect(page.getByLabel('Password')).toBeVisible();
});

test('a pilot is invited to a sign-in of their own, and sees their page, practice and account, and nothing else', async ({
  trainer,
  page,
  browser,
}) => {
  await trainer.today();
  await page.goto('/pilots');
  await page.getByRole('link', { name: /Runa Fellgate/ }).click();
  await page.getByRole('button', { name: 'Invite to an own sign-in' }).click();
  const link = await page.getByLabel('Link').innerText();

  const theirs = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await theirs.newPage();
  await phone.goto(link);
  await expect(phone.getByText('Runa Fellgate')).toBeVisible();
  await phone.getByLabel('E-mail, to sign in with').fill(`runa-${Date.now()}@carrowfell.example`);
  await phone.getByLabel(/^Password/).fill('two kestrels over a cold tarn');
  await phone.getByRole('button', { name: 'Join' }).click();
  await expect(phone.getByRole('heading', { name: 'Runa Fellgate' })).toBeVisible();
  await expect(phone.getByRole('navigation')).toHaveCount(0);
  await expect(phone.getByRole('button', { name: 'Tell us about a near-miss' })).toBeVisible();
  await phone.goto('/pilots');
  await expect(phone.getByText('Not open to your role')).toBeVisible();
  await phone.goto('/account');
  await expect(phone.getByText('Here', { exact: true })).toBeVisible();
  await phone.goto('/');
  await expect(phone.getByRole('heading', { name: 'Runa Fellgate' })).toBeVisible();
  await phone.getByRole('link', { name: 'Account' }).click();
  await phone.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(phone.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await theirs.close();
});
