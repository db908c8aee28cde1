import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { expect, test } from './field';

/** At the desk and at the door: records, sign-in, and whether everybody can use it. */

test.describe('sign-in', () => {
  test('leads back to the page that was asked for; a wrong password is said in words', async ({ page }) => {
    await page.goto('/pilots');
    await page.getByLabel('E-mail').fill(DEMO_TRAINERS[1].email);
    await page.getByLabel('Password').fill('not it');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('E-mail or password is not right. Check both and try again.')).toBeVisible();
    await page.getByLabel('Password').fill(DEMO_TRAINERS[1].password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Pilots' })).toBeVisible();
  });

  test('ends with sign-out', async ({ trainer, page }) => {
    await trainer.today();
    await page.goto('/kit');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByLabel('Password')).toBeVisible();
    await page.goto('/pilots');
    await expect(page.getByLabel('Password')).toBeVisible();
  });
});

test('the owner forgets a pilot, who stays under a number; the name has to be typed', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Idun Rask');
  await trainer.today();
  await trainer.log(pilot, 'Crash', 'Obstacles', 'Could not stop');
  await page.goto('/pilots');
  await trainer.findPilot(pilot);
  await page.getByRole('link', { name: new RegExp(pilot) }).click();
  const kept = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all of it as a file' }).click();
  expect((await kept).suggestedFilename()).toBe('pilot.json');
  await page.getByRole('button', { name: 'Forget this pilot' }).click();
  const forget = page.getByRole('button', { name: 'Forget for good' });
  await expect(forget).toBeDisabled();
  await page.getByLabel(/^To forget for good, type/).fill(pilot);
  await forget.click();
  await expect(page.getByRole('heading', { level: 1, name: /^Forgotten pilot \d+/ })).toBeVisible();
  await expect(page.getByText(pilot)).toBeHidden();
  await page.goto('/pilots');
  await expect(page.getByRole('link', { name: /^Forgotten pilot/ }).first()).toBeVisible();
  await expect(page.getByText(pilot)).toBeHidden();
});

test('craft, sites and flights are added and changed; what is wrong is named, and nothing typed is lost', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Bente Krog');
  await page.goto('/craft/new');
  await page.getByLabel('Name', { exact: true }).fill('Hover 3');
  await page.getByRole('radio', { name: /^Small trainer/ }).click();
  await page.getByRole('button', { name: 'Figures and modes, usual for its kind' }).click();
  await expect(page.getByLabel('Mass ready to fly, kg')).toHaveValue('0.15');
  await page.getByLabel('Mass ready to fly, kg').fill('heavy');
  await page.getByLabel('Widest span, m').fill('0.35');
  await page.getByLabel('Rotor radius, m').fill('0.105');
  await page.getByLabel('Top speed in the normal setting, m/s').fill('150');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('! Mass is not a number: give one from 0.02 to 30 kg.')).toBeVisible();
  await expect(page.getByText('! Top speed is above 60 m/s: give a number from 1 to 60 m/s.')).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Hover 3');
  await page.getByLabel('Mass ready to fly, kg').fill('1.1');
  await page.getByLabel('Top speed in the normal setting, m/s').fill('15');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: /^Hover 3/ })).toBeVisible();

  await page.getByRole('link', { name: 'Add a site' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Upper tarn');
  await page.getByRole('radio', { name: 'Water' }).click();
  await page.getByLabel('Tallest thing, m').fill('12');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: /^Upper tarn.*Water/ })).toBeVisible();

  await page.goto('/pilots');
  await page.getByRole('link', { name: new RegExp(pilot) }).click();
  await expect(page.getByText('No flights recorded: without them there is no rate.')).toBeVisible();
  await page.getByRole('link', { name: 'Add a flight' }).click();
  await page.getByLabel('Packs').fill('2');
  await page.getByLabel('Minutes in the air').fill('17');
  await page.getByLabel('Wind, m/s').fill('3');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('! Craft is missing: pick one.')).toBeVisible();
  await page.getByRole('radio', { name: 'Hover 3' }).click();
  await page.getByRole('radio', { name: 'Upper tarn' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('1 flight, 2 packs, 17 min since today.')).toBeVisible();
  await page.getByRole('link', { name: /^today 2 packs/ }).click();
  await page.getByLabel('Packs').fill('3');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('1 flight, 3 packs, 17 min since today.')).toBeVisible();
});

test('an address that leads nowhere says so, and the way back is there', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/weakness/01900000-0000-7000-8000-00000000dead');
  await expect(page.getByText('There is no such weakness in your school.')).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
});

test('a trainer who walks out of signal on Today can open every other page, and is told what cannot be loaded', async ({
  trainer,
  page,
  context,
}) => {
  await trainer.today();
  await trainer.carriesAll();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText("No connection: this phone's own copy")).toBeVisible();
  await page.getByRole('link', { name: 'More' }).click();
  await page.getByRole('link', { name: 'Flights' }).click();
  await expect(page.getByText('Rates need what was flown, not only what broke.')).toBeVisible();
  await page.goto('/weakness/01900000-0000-7000-8000-00000000dead');
  await expect(
    page.getByText('No connection to the server. Check the signal; nothing you typed is lost.'),
  ).toBeVisible({ timeout: 15_000 });
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await expect(page.getByRole('heading', { name: 'Who was flying?' })).toBeVisible();
  await page.getByRole('link', { name: 'More' }).click();
  await page.getByRole('link', { name: 'Flights' }).click();
  await context.setOffline(false);
  await expect(page.getByText('Rates need what was flown, not only what broke.')).toBeVisible();
});

test('two tabs of one phone do not fight: what one logs the other shows', async ({
  trainer,
  page,
  context,
}) => {
  const pilot = await trainer.addPilot('Maud Fenn');
  await trainer.today();
  const second = await context.newPage();
  await second.goto('/');
  await expect(second.getByRole('heading', { name: 'Today' })).toBeVisible();
  await trainer.log(pilot, 'Near-miss', 'Stick handling', 'Wrong stick');
  await expect(page.getByRole('button', { name: 'Confirm: Wrong stick' })).toBeVisible();
  await second.reload();
  await expect(second.getByRole('link', { name: new RegExp(`${pilot}.*Wrong stick`) })).toBeVisible();
});

async function violations(page: Page): Promise<string[]> {
  const { violations: found } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return found.map(
    (each) =>
      `${each.id}: ${each.nodes
        .map((node) => node.html.slice(0, 140))
        .slice(0, 3)
        .join(' | ')}`,
  );
}

const VIEWS: readonly { readonly name: string; readonly open: (page: Page) => Promise<void> }[] = [
  {
    name: 'Today',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('heading', { name: 'Drilling' }).waitFor();
    },
  },
  {
    name: 'Log',
    open: async (page) => {
      await page.goto('/log/pilot');
      await page.getByRole('button', { name: 'Davit Orrel' }).click();
      await page.getByRole('button', { name: 'Crash', exact: true }).waitFor();
    },
  },
  {
    name: 'an occurrence to confirm',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('link', { name: /Cai Penhallis.*Crash/ }).click();
      await page.getByRole('button', { name: /^Confirm/ }).waitFor();
    },
  },
  {
    name: 'a weakness',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('link', { name: /Nose-in reversal\. Due/ }).click();
      await page.getByRole('img', { name: /: Passed/ }).waitFor();
    },
  },
  {
    name: 'the rep counter',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('link', { name: /Clipped a gap/ }).click();
      await page.getByRole('link', { name: 'Count reps' }).click();
      await page.getByRole('button', { name: 'Met', exact: true }).waitFor();
    },
  },
  {
    name: 'a pilot',
    open: async (page) => {
      await page.goto('/pilots');
      await page.getByRole('link', { name: /^Nia/ }).click();
      await page.getByRole('heading', { name: 'Flown' }).waitFor();
    },
  },
  {
    name: 'More',
    open: async (page) => {
      await page.goto('/kit');
      await page.getByRole('heading', { name: 'Sites' }).waitFor();
    },
  },
  {
    name: 'a debrief',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('link', { name: /Cai Penhallis.*Crash/ }).click();
      await page.getByRole('link', { name: 'Debrief', exact: true }).click();
      const pick = page.getByRole('button', { name: 'I cannot say yet' });
      await pick.or(page.getByText('What the answers say')).first().waitFor();
      if (await pick.isVisible()) {
        await pick.click();
        await page.getByRole('button', { name: 'None of these' }).click();
      }
      await page.getByText('What would change this').waitFor();
    },
  },
  {
    name: 'what was in it',
    open: async (page) => {
      await page.goto('/');
      await page
        .getByRole('link', { name: /Tove Lindqvane.*Near-miss/ })
        .first()
        .click();
      await page.getByRole('link', { name: 'Debrief', exact: true }).click();
      await page.getByRole('button', { name: 'I cannot say yet' }).click();
      await page.getByRole('checkbox', { name: 'Wind or draught' }).waitFor();
    },
  },
  {
    name: 'the history',
    open: async (page) => {
      await page.goto('/school/history');
      await page
        .getByText(/signed in/)
        .first()
        .waitFor();
    },
  },
  {
    name: 'a decision',
    open: async (page) => {
      await page.getByText('Today').first().waitFor();
      await VIEWS.find((view) => view.name === 'a debrief')!.open(page);
      await page.getByRole('radio', { name: 'Decide' }).click();
      await page.getByText('What went well').waitFor();
    },
  },
  {
    name: 'a sum',
    open: async (page) => {
      await page.goto('/sums?sum=stop');
      await page.getByRole('img', { name: /Stopping took/ }).waitFor();
    },
  },
  {
    name: 'the flight card',
    open: async (page) => {
      await page.goto('/sums/card');
      await page.getByRole('radio', { name: 'Hover 1' }).waitFor();
    },
  },
  {
    name: 'the school',
    open: async (page) => {
      await page.goto('/school');
      await page.getByText(/have taught the ranking/).waitFor();
    },
  },
  {
    name: 'a session',
    open: async (page) => {
      await page.goto('/session');
      const who = page.getByRole('checkbox', { name: /Cai Penhallis/ });
      await who.waitFor();
      if (!(await who.isChecked())) await who.click();
      await page.getByText(/The best there is/).waitFor();
    },
  },
  {
    name: 'the drills',
    open: async (page) => {
      await page.goto('/drills');
      await page.getByRole('link', { name: /Tail-in hover/ }).waitFor();
    },
  },
  {
    name: 'a drill',
    open: async (page) => {
      await page.goto('/drills/circle-both-ways');
      await page.getByRole('button', { name: 'Play' }).waitFor();
    },
  },
  {
    name: 'what waits',
    open: async (page) => {
      await page.goto('/waiting');
      await page.getByText('No entry waits').waitFor();
    },
  },
  {
    name: 'a sign-off sheet',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('link', { name: /Runa Fellgate.*Check passed/ }).click();
      await page.getByRole('link', { name: 'Sign-off sheet' }).click();
      await page.getByText('What this can promise').waitFor();
    },
  },
  {
    name: 'a form',
    open: async (page) => {
      await page.goto('/sites/new');
      await page.getByLabel('Tallest thing, m').waitFor();
    },
  },
];

const LOOKS = ['light', 'dark'] as const;
/** A new one every day: each view is looked at in one light, and in the other the next day. LOOKS=all takes both. */
const DAY = Number(process.env['LOOKS_DAY'] ?? Math.floor(Date.now() / 86_400_000));
const isDue = (nth: number) => process.env['LOOKS'] === 'all' || (nth + DAY) % LOOKS.length === 0;

for (const [i, look] of LOOKS.entries()) {
  for (const view of VIEWS.filter((_, nth) => isDue(nth + i))) {
    test(`${view.name}, ${look} (LOOKS_DAY ${DAY}): meets WCAG 2.2 AA by axe and fits its width`, async ({
      trainer,
      page,
    }) => {
      await page.emulateMedia({ colorScheme: look });
      if (look === 'dark') await page.setViewportSize({ width: 1280, height: 800 });
      await trainer.today();
      await view.open(page);
      expect(await violations(page)).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    });
  }
}

test('everything that is tapped in the field is at least 56 px high', async ({ trainer, page }) => {
  await trainer.today();
  for (const view of VIEWS) {
    await view.open(page);
    const small = await page.locator('button, a, [role="button"], [role="radio"]').evaluateAll((all) =>
      all
        .filter((each) => {
          const { height, width } = each.getBoundingClientRect();
          return width > 0 && height < 55.5;
        })
        .map((each) => each.textContent),
    );
    expect(small, view.name).toEqual([]);
  }
});

test('the licences of what is built in are a tap away', async ({ trainer, page, context }) => {
  await trainer.today();
  await page.goto('/school');
  const [opened] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('button', { name: 'Licences of the packages inside' }).click(),
  ]);
  await expect(opened.getByText(/react-native-web/).first()).toBeVisible();
});

test('a page that breaks says so and leads back, and an unknown address does too', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.route('**/api/today', (route) => route.fulfill({ json: { toDebrief: null, weaknesses: [] } }));
  await page.reload();
  await expect(page.getByText('The page could not be shown. Entries on this phone are safe.')).toBeVisible();
  await page.unroute('**/api/today');
  await page.getByRole('button', { name: 'Load Skelby anew' }).click();
  await expect(page.getByRole('heading', { name: 'Drilling' })).toBeVisible();
  await page.goto('/no/such/page');
  await page.getByRole('link', { name: 'Go to Today' }).click();
  await expect(page.getByRole('heading', { name: 'Drilling' })).toBeVisible();
});

test('by keys alone: a skip link, the heading after each page, one stop a group, arrows and Space choose', async ({
  trainer,
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await trainer.today();
  await page.getByRole('link', { name: 'Pilots' }).click();
  await expect(page.getByRole('heading', { name: 'Pilots', level: 1 })).toBeFocused();
  await page.keyboard.press('Shift+Tab');
  await page.getByRole('button', { name: 'Past the menu to the page' }).focus();
  await expect(page.getByRole('button', { name: 'Past the menu to the page' })).toBeInViewport();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Pilots', level: 1 })).toBeFocused();

  await page.getByRole('link', { name: /Davit Orrel/ }).click();
  await expect(page.getByRole('heading', { name: 'Davit Orrel', level: 1 })).toBeFocused();
  const opens = page.getByRole('radiogroup', { name: 'Opens on' });
  const [any, first] = [opens.getByRole('radio').nth(0), opens.getByRole('radio').nth(1)];
  await expect(any).toHaveAttribute('tabindex', '0');
  await expect(first).toHaveAttribute('tabindex', '-1');
  await any.focus();
  await page.keyboard.press('ArrowRight');
  await expect(first).toBeFocused();
  await expect(first).toBeChecked();
  await page.keyboard.press('ArrowDown');
  await expect(any).toBeChecked();
  await page
    .getByRole('radiogroup', { name: 'Hour and place of sessions' })
    .getByRole('radio')
    .nth(1)
    .focus();
  const scrolled = await page.evaluate(() => document.scrollingElement!.scrollTop);
  await page.keyboard.press(' ');
  await expect(page.getByRole('radio', { name: '✓ Told' })).toBeChecked();
  expect(await page.evaluate(() => document.scrollingElement!.scrollTop)).toBe(scrolled);
});
