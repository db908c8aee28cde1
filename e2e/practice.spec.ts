import { expect, type Page, test } from './field';

/** Flying a drill on the phone itself. */

/** What the figures under the field say, in their own units. */
const figure = async (page: Page, unit: RegExp): Promise<number> => Number.parseFloat((await page.getByText(unit).textContent())!);

test('a drill starts with its marks within moments, answers the keys of the layout, and says where it went in', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/tail-in-hover');
  await page.getByRole('link', { name: 'Practise it here' }).click();
  await expect(page.getByText(/m away$/)).toBeVisible({ timeout: 15_000 });
  await expect(page.getByRole('img', { name: 'The field from where the pilot stands' })).toBeVisible();
  const before = await figure(page, /m away$/);
  await page.keyboard.down('ArrowUp');
  await expect.poll(() => figure(page, /m away$/), { timeout: 15_000 }).toBeGreaterThan(before + 4);
  await page.keyboard.up('ArrowUp');
  await page.getByRole('button', { name: 'Again' }).click();
  await expect.poll(() => figure(page, /m away$/)).toBeLessThan(before + 2);

  // Without height hold the throttle is the rotors' own speed: pulled back, it comes down hard.
  await page.getByRole('radio', { name: 'Self-level' }).click();
  await page.keyboard.down('KeyS');
  await expect(page.getByRole('alert')).toContainText('Into the ground', { timeout: 20_000 });
  await page.keyboard.up('KeyS');
  await page.getByRole('radio', { name: 'Position hold' }).click();
  await page.getByRole('button', { name: 'Again' }).first().click();
  await expect(page.getByText(/^2\.\d\sm up$/)).toBeVisible();
});

test('on the other layout the same hand does another thing, and a thumb flies as a key does', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/tail-in-hover/practice');
  await expect(page.getByText(/m away$/)).toBeVisible({ timeout: 15_000 });
  await page.getByRole('radio', { name: 'Mode 1' }).click();
  const stick = page.getByRole('img', { name: 'Right stick: throttle, roll' });
  await stick.scrollIntoViewIfNeeded();
  const box = (await stick.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + 10, { steps: 4 });
  await expect.poll(() => figure(page, /m up$/), { timeout: 15_000 }).toBeGreaterThan(5);
  await page.mouse.up();
});

test('a drill that is not for the simulator leads nowhere here', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/hover-check');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Practise it here' })).toBeHidden();
});
