import { expect, type Page, test } from './field';

/** On its side, zoomed, in a forced palette, by ear, on paper, and in a school that has nothing yet. */

const LOW = [
  [320, 256],
  [640, 400],
  [844, 390],
] as const;

async function weaknessOf(page: Page): Promise<string> {
  const link = page.getByRole('link', { name: /Davit Orrel|Runa Fellgate/ }).first();
  await link.waitFor();
  const all = await page.locator('a[href^="/weakness/"]').first().getAttribute('href');
  return all!;
}

const isNarrow = (page: Page) =>
  page.evaluate(() => document.scrollingElement!.scrollWidth <= window.innerWidth);

test('on a low screen head, foot and bar scroll with the page, which fits its width', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  const weakness = await weaknessOf(page);
  for (const [width, height] of LOW) {
    await page.setViewportSize({ width, height });
    for (const address of [
      '/',
      weakness,
      `${weakness}/reps`,
      '/drills/tail-in-hover',
      '/sums/card',
      '/kit',
    ]) {
      await page.goto(address);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await page.waitForTimeout(500);
      expect([address, width, await isNarrow(page)]).toEqual([address, width, true]);
      // What stays in sight takes nothing away: the whole height is the page's.
      const stays = await page.evaluate(() => {
        const { scrollHeight } = document.scrollingElement!;
        const foot = document.querySelector('#skelby-foot') ?? document.querySelector('[role="navigation"]');
        window.scrollTo(0, 0);
        const top = foot ? foot.getBoundingClientRect().top : Infinity;
        window.scrollTo(0, 40);
        const moved = foot ? top - foot.getBoundingClientRect().top : 40;
        return scrollHeight > window.innerHeight + 40 ? moved : 40;
      });
      expect([address, width, Math.round(stays)]).toEqual([address, width, 40]);
    }
  }
});

test("text follows the browser's own size, and the page still fits", async ({ trainer, page }) => {
  await trainer.today();
  const size = () =>
    page.evaluate(() => {
      const heading = document.querySelector('[role="main"] h1');
      return heading ? Math.round(parseFloat(getComputedStyle(heading).fontSize)) : null;
    });
  await expect.poll(size).not.toBeNull();
  const before = (await size())!;
  for (const address of ['/', '/pilots', '/drills/tail-in-hover', '/sums', '/kit']) {
    await page.goto(address);
    await page.evaluate(() => {
      document.documentElement.style.fontSize = '200%';
    });
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(300);
    await expect.poll(size, { message: address }).toBe(before * 2);
    expect([address, await isNarrow(page)]).toEqual([address, true]);
  }
});

test('signal that goes and comes back is told at once', async ({ trainer, page, context }) => {
  await trainer.today();
  await page.waitForTimeout(1_000);
  await context.setOffline(true);
  await expect(page.getByText("No connection: this phone's own copy")).toBeVisible({ timeout: 2_000 });
  await context.setOffline(false);
  await expect(page.getByText('Connected again')).toBeVisible({ timeout: 2_000 });
  await expect(page.getByText('Connected again')).toBeHidden({ timeout: 8_000 });
});

test('in a forced palette full and empty are still told apart', async ({ trainer, page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await trainer.today();
  await weaknessOf(page);
  const fills = await page
    .getByRole('img', { name: /of 5 steps$/ })
    .first()
    .evaluate((ladder) =>
      Array.from(ladder.children).map((step) => {
        const fill = getComputedStyle(step.firstElementChild!);
        return { drawn: parseFloat(fill.borderTopWidth), color: fill.borderTopColor };
      }),
    );
  const ground = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(fills).toHaveLength(5);
  for (const { drawn, color } of fills) expect([drawn > 0, color === ground]).toEqual([true, false]);
});

test('a school that has nothing yet is told the next step, and led there', async ({ trainer, page }) => {
  const nothing = { pilots: [], craft: [], sites: [], reporting: [], trainers: [] };
  await page.route('**/api/roster', (route) => route.fulfill({ json: nothing }));
  await page.route('**/api/flights', (route) => route.fulfill({ json: [] }));
  await page.route('**/api/carry*', (route) => route.abort());
  await trainer.today();
  for (const [address, step] of [
    ['/flights/new', 'Add the first craft'],
    ['/sums/card', 'Add the first pilot'],
    ['/pilots', 'Add a pilot'],
    ['/log/pilot', 'Add the first pilot'],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole('link', { name: step }).first()).toBeVisible();
  }
  await page.getByRole('link', { name: 'Add the first pilot' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toBeVisible();
});

test('help tells what the screen is for, and every word of ours can be looked for', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto(`${await weaknessOf(page)}/reps`);
  await page.getByRole('link', { name: 'Help' }).click();
  await expect(page.getByText('Only tests clear.', { exact: false }).first()).toBeVisible();
  await page.getByLabel('Find a word').fill('reserve');
  await expect(page.getByText('The charge at which the feet are on the ground again.')).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page).toHaveURL(/\/reps$/);
  // By keys, from anywhere.
  await page.keyboard.press('Alt+Shift+KeyP');
  await expect(page.getByRole('heading', { level: 1, name: 'Pilots' })).toBeVisible();
});

test('on a desk the list stands beside what is open, and paper takes few pages', async ({
  trainer,
  page,
}) => {
  await page.setViewportSize({ width: 1920, height: 1000 });
  await trainer.today();
  await page.goto('/pilots');
  await page.getByRole('link', { name: /Davit Orrel/ }).click();
  const list = page.getByRole('complementary', { name: 'List' });
  await expect(list.getByRole('link', { name: /Davit Orrel/ })).toHaveAttribute('aria-current', 'page');
  await list.getByRole('link', { name: /Runa Fellgate/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: /Runa Fellgate/ })).toBeVisible();
  const pages = async () =>
    ((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length;
  for (const [address, most] of [
    ['/sums?sum=stop', 1],
    ['/drills/tail-in-hover', 2],
    ['/flights', 4],
  ] as const) {
    await page.goto(address);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(1_000);
    expect([address, (await pages()) <= most]).toEqual([address, true]);
  }
});

test('what is wrong takes the focus, a choice too', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/flights/new');
  await page.getByRole('button', { name: 'Save' }).click();
  const wrong = page.locator('[aria-invalid="true"]').first();
  await expect(wrong).toBeVisible();
  await expect
    .poll(() =>
      wrong.evaluate((box) => box === document.activeElement || box.contains(document.activeElement)),
    )
    .toBe(true);
  // Keys go on from there: among many, past the box that finds one.
  if ((await page.locator(':focus').getAttribute('role')) !== 'radio') await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await expect(page.locator(':focus')).toHaveAttribute('aria-checked', 'true');
});

test('what is thrown away comes back by one tap, until the page is left', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/first-minutes');
  const ticked = page.getByRole('checkbox', { checked: true });
  await page.getByRole('checkbox').first().click();
  await page.getByRole('button', { name: 'Begin the list anew' }).click();
  await expect(ticked).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: List begun anew' }).click();
  await expect(ticked).toHaveCount(1);
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Begin the list anew' }).click();
  await page.getByRole('link', { name: 'Pilots' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Pilots' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0);
});
