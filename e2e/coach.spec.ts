import { expect, type Page, test } from './field';
import { drilled, weaknessId } from './drilling';

/** A flight can be frozen, slowed and taken over where it went wrong; what was flown so is no rep. */

const field = (page: Page) => page.getByRole('img', { name: 'The field from where the pilot stands' });
const away = async (page: Page): Promise<number> =>
  Number.parseFloat((await page.getByText(/m away$/).textContent())!);

async function crash(page: Page): Promise<void> {
  await page.keyboard.down('KeyS');
  await expect(page.getByRole('alert')).toContainText('Into the ground', { timeout: 30_000 });
  await page.keyboard.up('KeyS');
}

test('frozen it stands, flown on it is no rep; it is taken over before it went wrong; the next rep is one tap away', async ({
  trainer,
  page,
}) => {
  test.slow();
  await trainer.today();
  await drilled(trainer, page, 'Coached');
  await page.goto(`/drills/tail-in-hover/practice?weakness=${weaknessId(page)}&mode=self-level`);
  await expect(field(page)).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Freeze' }).click();
  const frozen = await away(page);
  await page.waitForTimeout(700);
  expect(await away(page)).toBe(frozen);
  await page.getByRole('button', { name: 'Fly on' }).click();
  await crash(page);
  await expect(page.getByText('Not recorded: it was frozen on the way.')).toBeVisible();

  await page.getByRole('button', { name: 'Where it went wrong' }).click();
  await page.getByRole('button', { name: 'Fly on from here' }).click();
  await page.getByRole('button', { name: 'Fly on' }).click({ timeout: 20_000 });
  await crash(page);
  await expect(page.getByText('Not recorded: it was taken over in the middle.')).toBeVisible();

  await page.getByRole('button', { name: 'Next rep' }).click();
  await expect(page.getByRole('button', { name: 'Start' })).toBeHidden();
  await crash(page);
  await expect(page.getByText(/Recorded as missed on the simulator/)).toBeVisible();
});

test('free flight judges nothing, and a lap that ends in the ground has no time', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills');
  await page.getByRole('link', { name: 'Free flight' }).click();
  await expect(field(page)).toBeVisible({ timeout: 20_000 });
  await page.getByRole('radio', { name: 'Self-level' }).click();
  await page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });
  await page.keyboard.down('KeyW');
  await expect
    .poll(async () => Number.parseFloat((await page.getByText(/m up$/).textContent())!), { timeout: 20_000 })
    .toBeGreaterThan(4);
  await page.keyboard.up('KeyW');
  await crash(page);
  await expect(page.getByRole('heading', { name: 'It ended there.' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Once more' })).toBeVisible();

  await page.goto('/fly/lap');
  await page.getByRole('radio', { name: 'Self-level' }).click();
  await page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });
  await expect(page.getByText('1 of 5: Through the first gate: the clock starts')).toBeVisible();
  await crash(page);
  await expect(page.getByText('No lap: it was not flown to its end.')).toBeVisible();
});
