import type { Page } from '@playwright/test';
import { expect, test, Trainer } from './field';

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

test('place, craft and wind come from the last flight and can be changed later', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await trainer.log('Elin Scarrow', 'Crash', 'Obstacles', 'Wire, twig or net');
  await expect(
    page.getByText(/(Merrow Moor airstrip|Gillet quarry) · Hover \d · wind [\d.]+\sm\/s/),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Change the details' }).click();
  await page.getByLabel('What happened').fill('Clipped the sheep netting.');
  await page.getByLabel('Wind (empty: not known), m/s').fill('');
  await page.getByRole('radio', { name: 'Gillet quarry' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('“Clipped the sheep netting.”')).toBeVisible();
  await expect(page.getByText(/Gillet quarry · Hover \d$/)).toBeVisible();
});

test('a refresh in the middle keeps what was tapped and typed; back goes one question back', async ({
  trainer,
  page,
}) => {
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

test('a wrong pilot and a wrong hour are put right before the cause is confirmed', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Right Honsdal');
  await trainer.today();
  await trainer.log('Davit Orrel', 'Crash', 'Obstacles', 'Backed into it blind');
  await page.getByRole('link', { name: 'Change the details' }).click();
  await page
    .getByLabel('Pilot: find by name')
    .or(page.getByRole('radio', { name: pilot }))
    .first()
    .waitFor();
  const search = page.getByLabel('Pilot: find by name');
  if (await search.isVisible()) await search.fill(pilot);
  await page.getByRole('radio', { name: pilot }).click();
  await page.getByLabel('Time', { exact: true }).fill('');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('! Time must be written as hours:minutes, such as 09:30.')).toBeVisible();
  await page.getByLabel('Time', { exact: true }).fill('00:05');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: pilot })).toBeVisible();
  await expect(page.getByText(/, 00:05/)).toBeVisible();
});

test('an entry left half-way is offered again later, and a new one does not take its hour', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  const then = new Date();
  await trainer.on(new Date(then.getTime() - 3 * 3_600_000));
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await page.getByRole('button', { name: 'Runa Fellgate' }).click();
  await page.getByRole('button', { name: 'Crash', exact: true }).click();
  await trainer.on(then);
  await trainer.today();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await expect(page.getByText('An entry is not finished')).toBeVisible();
  await page.getByRole('button', { name: 'Go on with it' }).click();
  await expect(page.getByText('Runa Fellgate · Crash')).toBeVisible();
  await page.goto('/log/pilot');
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByRole('button', { name: 'Runa Fellgate' })).toBeVisible();
});

test('a note left unfinished for one pilot never turns up under the next', async ({ trainer, page }) => {
  const [first, second] = [await trainer.addPilot('Begun Askrigg'), await trainer.addPilot('Next Hawes')];
  await trainer.today();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  for (const name of [new RegExp(first), /^Crash$/, /^Stick handling/, /^Over-control/])
    await page.getByRole('button', { name }).click();
  await page.getByLabel('What happened, in a line (optional)').fill('Said of the first pilot alone.');
  // Half a minute later, from Today and from the other pilot's page: the entry is offered, and is not turned
  // into another pilot's.
  for (const from of ['/', '/pilots']) {
    await page.goto(from);
    if (from === '/pilots') await page.getByRole('link', { name: new RegExp(second) }).click();
    await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
    await expect(page.getByText('An entry is not finished')).toBeVisible();
    await expect(page.getByText(new RegExp(`${first}.*Said of the first pilot alone`))).toBeVisible();
  }
  await page.getByRole('button', { name: 'Throw it away' }).click();
  const find = page.getByLabel('Find by name');
  if (await find.isVisible()) await find.fill(second);
  for (const name of [new RegExp(second), /^Near-miss$/, /^Stick handling/, /^Over-control/])
    await page.getByRole('button', { name }).click();
  await expect(page.getByLabel('What happened, in a line (optional)')).toHaveValue('');
});

test('two tabs log two entries at once and neither changes the other; a tab that is closed leaves its own to the next', async ({
  trainer,
  page,
  context,
}) => {
  const [one, other] = [await trainer.addPilot('Twice Rundgren'), await trainer.addPilot('Once Rundgren')];
  const begin = async (tab: Page, pilot: string) => {
    await tab.goto('/log/pilot');
    await new Trainer(tab, context).findPilot(pilot);
    for (const name of [new RegExp(pilot), /^Near-miss$/, /^Stick handling/, /^Over-control/])
      await tab.getByRole('button', { name }).click();
  };
  const note = (tab: Page) => tab.getByLabel('What happened, in a line (optional)');
  await begin(page, one);
  await note(page).fill('Of the first.');
  const second = await context.newPage();
  await begin(second, other);
  await expect(note(second)).toHaveValue('');
  await note(second).fill('Of the second.');
  await page.reload();
  await expect(note(page)).toHaveValue('Of the first.');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('“Of the first.”')).toBeVisible();
  await second.close();

  const third = await context.newPage();
  await third.goto('/log/pilot');
  await expect(third.getByText(new RegExp(`${other}.*Of the second.`))).toBeVisible();
  await third.getByRole('button', { name: 'Go on with it' }).click();
  await third.getByRole('button', { name: 'Save' }).click();
  await expect(third.getByText('“Of the second.”')).toBeVisible();
  await third.goto('/');
  for (const pilot of [one, other])
    await expect(third.getByRole('link', { name: new RegExp(`${pilot}.*Over-control`) })).toHaveCount(1);
});

test('an entry made by mistake is withdrawn with a reason and leaves Today', async ({ trainer, page }) => {
  const pilot = await trainer.addPilot('Never Happened');
  await trainer.today();
  await trainer.log(pilot, 'Crash', 'Own wash', 'Yaw tumble');
  await page.getByRole('button', { name: 'Logged by mistake: withdraw it' }).click();
  await page.getByLabel('Why is it withdrawn?').fill('Tapped the wrong name.');
  await page.getByRole('button', { name: 'Withdraw', exact: true }).click();
  await expect(
    page.getByText('Tapped the wrong name. It stays on record and counts for nothing.'),
  ).toBeVisible();
  await trainer.today();
  await expect(page.getByRole('link', { name: new RegExp(pilot) })).toHaveCount(0);
});

test('without signal the entry waits on the phone, outlives a second entry, and goes out by itself', async ({
  trainer,
  page,
  context,
}) => {
  const pilot = await trainer.addPilot('Odd Valebrook');
  await trainer.today();
  await trainer.carriesAll();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await trainer.findPilot(pilot);
  await page.getByRole('button', { name: pilot }).click();
  await page.getByRole('button', { name: 'Near-miss', exact: true }).click();
  await page.getByRole('button', { name: /^Person and surroundings/ }).click();
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Birds/ }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Confirm: Birds' })).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText('1 entry waiting for signal')).toBeVisible();
  await expect(
    page.getByRole('link', { name: new RegExp(`${pilot}.*Near-miss today: Birds`) }),
  ).toBeVisible();
  await context.setOffline(false);
  await trainer.sent();
  await expect(page.getByText('waiting for signal')).toBeHidden();
  await expect(
    page.getByRole('link', { name: new RegExp(`${pilot}.*Near-miss today: Birds`) }),
  ).toBeVisible();
});

test('the whole of logging works from the keyboard', async ({ trainer, page }) => {
  await trainer.today();
  const press = async (name: string | RegExp, role: 'button' | 'link' = 'button') => {
    await page.getByRole(role, { name }).focus();
    await page.keyboard.press('Enter');
  };
  await press('Log a crash or near-miss', 'link');
  await press('Runa Fellgate');
  await press(/^Near-miss$/);
  await press(/^Hold and wind/);
  await press(/^Carried by the wind/);
  await press('Save');
  await expect(page.getByRole('button', { name: 'Confirm: Carried by the wind' })).toBeVisible();
});

test("from a pilot's own page the first question is answered already", async ({ trainer, page }) => {
  await trainer.today();
  await page.getByRole('link', { name: 'Pilots' }).click();
  await page.getByRole('link', { name: /^Oska Merrin/ }).click();
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).click();
  await expect(page.getByRole('heading', { name: 'What was it?' })).toBeVisible();
  await page.getByRole('button', { name: 'Crash', exact: true }).click();
  await expect(page.getByText('Oska Merrin · Crash')).toBeVisible();
});

test('the first ten minutes after a crash are a tap from the log, with the help of the place, and outlive a refresh', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/log/pilot');
  await page.getByRole('link', { name: 'Just crashed? The first ten minutes' }).click();
  await expect(page.getByRole('heading', { name: 'The first ten minutes' })).toBeVisible();
  await expect(page.getByText(/Base desk 555 0140/).first()).toBeVisible();
  const people = page.getByRole('checkbox', { name: /^People first/ });
  await people.click();
  await page.reload();
  await expect(people).toBeChecked();
  await page.getByRole('link', { name: 'Then log it' }).click();
  await expect(page.getByRole('heading', { name: 'Who was flying?' })).toBeVisible();
});

test('what has to be reported is written down once, and stands with its hour on every crash it is about', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Ottar Brekke');
  await page.goto('/school');
  await page.getByRole('button', { name: 'Add a rule' }).click();
  await page.getByRole('radio', { name: 'Every crash', exact: true }).click();
  await page.getByLabel('Whom to tell, and how').fill('Chief trainer, by phone');
  await page.getByRole('button', { name: 'Add this rule' }).click();
  await expect(page.getByText('Every crash: Chief trainer, by phone, within 72 h')).toBeVisible();
  await trainer.today();
  await trainer.log(pilot, 'Crash', 'Stick handling', 'Over-control');
  await expect(page.getByText(/^Chief trainer, by phone, by /)).toBeVisible();
  await page.goto('/school');
  await page.getByRole('button', { name: 'Leave out Chief trainer, by phone' }).click();
  await expect(page.getByText(/within 72 h/)).toHaveCount(0);
});
