import { readFileSync } from 'node:fs';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { counted, drilled, linkOf, weaknessId } from './drilling';
import { expect, type Page, test, tap, tapMet } from './field';

/** Out of signal, in the middle of a lesson, with things going wrong. */

test('a day without signal: logged, confirmed and drilled, through a refresh and a closed tab; in the evening all of it is there once', async ({
  trainer,
  page,
  context,
}) => {
  const pilot = await trainer.addPilot('Ines Tarn');
  await trainer.today();
  await trainer.carriesAll();
  await context.setOffline(true);
  await page.reload();
  await trainer.log(pilot, 'Crash', 'Orientation', 'Nose-in reversal');
  await page.getByRole('button', { name: 'Confirm: Nose-in reversal' }).click();
  await expect(page.getByText('Until cleared')).toBeVisible();
  const id = weaknessId(page);
  await page.getByRole('link', { name: 'Count reps' }).click();
  await tapMet(page);
  await page.reload();
  await tapMet(page);
  await expect(page.getByText('4 entries waiting for signal')).toBeVisible();
  await page.close();

  const again = await context.newPage();
  await again.goto(`/weakness/${id}/reps`);
  await tapMet(again);
  await expect(again.getByText('5 entries waiting for signal')).toBeVisible();
  // Every page knows what this phone has done: also the pilot's, which was never read.
  await again.goto('/pilots');
  const find = again.getByLabel('Find by name');
  if (await find.isVisible()) await find.fill(pilot);
  await again.getByRole('link', { name: new RegExp(pilot) }).click();
  await expect(again.getByText('Restrictions now')).toBeVisible();
  await expect(again.getByRole('link', { name: /Nose-in reversal.*Drilling/ })).toBeVisible();
  await expect(again.getByText(/Practice · 3 of 3 met/)).toBeVisible();
  await again.goto('/');
  await expect(again.getByRole('link', { name: new RegExp(`${pilot}.*Nose-in reversal`) })).toBeVisible();
  await context.setOffline(false);
  await expect
    .poll(async () => (await counted(trainer, id).catch(() => [])).length, { timeout: 60_000 })
    .toBe(3);
  await again.reload();
  await expect(again.getByText('waiting for signal')).toBeHidden();
});

test('the connection is cut half-way: the server has taken it, the phone has not heard; it is sent again and counts once', async ({
  trainer,
  page,
}) => {
  await drilled(trainer, page, 'Ulf Corrie');
  const id = weaknessId(page);
  await page.getByRole('link', { name: 'Count reps' }).click();
  let cuts = 0;
  await page.route('**/api/sync', async (route) => {
    cuts += 1;
    if (cuts > 2) {
      await route.continue();
      return;
    }
    await route.fetch();
    await route.abort('connectionreset');
  });
  for (let i = 0; i < 4; i += 1) await tapMet(page);
  await trainer.sent();
  expect(cuts).toBeGreaterThan(2);
  expect(await counted(trainer, id)).toHaveLength(4);
});

test('a phone that is full says so, drops nothing, and hands it over by file', async ({
  trainer,
  page,
  browser,
  baseURL,
}) => {
  await drilled(trainer, page, 'Petra Skarn');
  const id = weaknessId(page);
  await page.route('**/api/sync', (route) => route.abort());
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.getByRole('link', { name: 'Count reps' }).click();
  await tapMet(page);
  await tapMet(page);
  await expect(page.getByText('This phone is full: 2 entries not kept')).toBeVisible();
  await page.getByRole('link', { name: 'Save them as a file' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  const file = await download.path();
  expect((JSON.parse(readFileSync(file, 'utf8')) as { entries: object[] }).entries).toHaveLength(2);

  // At the desk another trainer takes the file in, twice.
  const desk = await browser.newContext({ baseURL: baseURL! });
  const { email, password } = DEMO_TRAINERS[1]!;
  await desk.request.post('/api/sign-in', { data: { email, password }, headers: { Origin: baseURL! } });
  const other = await desk.newPage();
  await other.goto('/waiting');
  for (let times = 0; times < 2; times += 1) {
    await other.getByLabel('File of waiting entries').setInputFiles(file);
    await expect(other.getByText('2 entries taken in.')).toBeVisible();
  }
  await expect.poll(async () => (await counted(trainer, id)).length).toBe(2);
  await other
    .getByLabel('File of waiting entries')
    .setInputFiles({ name: 'other.json', mimeType: 'application/json', buffer: Buffer.from('{}') });
  await expect(other.getByText('This is not a file of waiting entries')).toBeVisible();
  await desk.close();
});

test('a phone whose clock is a day ahead: what it counted stands on the day it was flown', async ({
  trainer,
  page,
}) => {
  await drilled(trainer, page, 'Gerda Fenn');
  const id = weaknessId(page);
  await page.getByRole('link', { name: 'Count reps' }).click();
  await page.clock.setFixedTime(new Date(Date.now() + 86_400_000));
  await tapMet(page);
  await expect.poll(async () => (await counted(trainer, id)).length).toBe(1);
  const [rep] = (await counted(trainer, id)) as unknown as { flownAt: string }[];
  expect(Math.abs(Date.parse(rep!.flownAt) - Date.now())).toBeLessThan(120_000);
  await expect(page.getByText("This phone's clock is wrong")).toBeVisible();
  await expect(
    page.getByText('It is 1 day ahead. Times were put right on the way; set the clock.'),
  ).toBeVisible();
});

test('two trainers change the same pilot: the second sees both, side by side, and chooses', async ({
  trainer,
  page,
  baseURL,
}) => {
  const pilot = await trainer.addPilot('Vidar Holm');
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('link', { name: 'Change this pilot' }).click();
  const id = /pilots\/([^/]+)/.exec(page.url())![1]!;
  await page.getByLabel('Wind limit, m/s').fill('4');
  const theirs = {
    name: pilot,
    stickLayout: 2,
    mode: 'position-hold',
    windLimitMps: 3,
    note: 'Seen at the quarry.',
    basedOn: 1,
  };
  expect(
    (
      await trainer.context.request.put(`/api/pilots/${id}`, { data: theirs, headers: { Origin: baseURL! } })
    ).ok(),
  ).toBe(true);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/changed this meanwhile/)).toBeVisible();
  await expect(page.getByText(/^4\sm\/s$/)).toBeVisible();
  await expect(page.getByText(/^3\sm\/s$/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByText(/wind up to 4\sm\/s/)).toBeVisible();
});

test('sign-out wipes the phone, and warns of what would be lost', async ({ trainer, page, context }) => {
  await drilled(trainer, page, 'Rune Aske');
  await page.getByRole('link', { name: 'Count reps' }).click();
  await context.setOffline(true);
  await tapMet(page);
  await expect(page.getByText('1 entry waiting for signal')).toBeVisible();
  // Signal is back, but the server takes nothing.
  await page.route('**/api/sync', (route) => route.abort());
  await context.setOffline(false);
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('1 entry would be lost')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out and lose them' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect(await trainer.unsent()).toBe(0);
  expect(
    await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('skelby.'))),
  ).toEqual([]);
});

test.describe('the drill library', () => {
  const knob = (page: Page, hand: string) => page.locator(`[id$="-${hand}-knob"]`);

  test('plays the sticks in time, on the hands of the layout chosen, and mirrored for the other side', async ({
    trainer,
    page,
  }) => {
    await trainer.today();
    await page.goto('/drills/circle-both-ways');
    await page.getByRole('button', { name: 'Play' }).waitFor();
    for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: 'Step on' }).click();
    // Mode 2: yaw on the left hand. Clockwise: to the right of the middle, which is at 60.
    expect(Number(await knob(page, 'left').getAttribute('cx'))).toBeGreaterThan(60);
    await page.getByRole('radio', { name: 'Counter-clockwise' }).click();
    for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: 'Step on' }).click();
    expect(Number(await knob(page, 'left').getAttribute('cx'))).toBeLessThan(60);
    await page.getByRole('radio', { name: 'Mode 4' }).click();
    for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: 'Step on' }).click();
    expect(Number(await knob(page, 'right').getAttribute('cx'))).toBeLessThan(60);
    const before = await page.locator('[id$="-plan"]').getAttribute('transform');
    await page.getByRole('button', { name: 'Play' }).click();
    await expect.poll(() => page.locator('[id$="-plan"]').getAttribute('transform')).not.toBe(before);
    await page.getByRole('button', { name: 'Pause' }).click();
  });

  test('a changed standard is what the counter asks for, with its version and why; an own drill joins a plan', async ({
    trainer,
    page,
  }) => {
    await drilled(trainer, page, 'Hanno Berg');
    const id = weaknessId(page);
    await page.goto('/drills/look-away-recover/edit');
    await page.getByLabel('Met when, by eye').fill('Nose named within two counts');
    await page.getByLabel('Why?').fill('Our crews look at the casualty meanwhile.');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.goto('/drills/look-away-recover');
    await expect(page.getByText('Version 1: Nose named within two counts')).toBeVisible();
    await expect(
      page.getByText(/Our crews look at the casualty meanwhile\. · 0 reps flown under it/),
    ).toBeVisible();

    await page.goto('/drills/new/edit');
    const name = `Winch hover ${Date.now() % 100_000}`;
    for (const [label, text] of [
      ['Name', name],
      ['What it trains', 'Standing over the winch point'],
      ['What the pilot does', 'Hover over the cross.'],
      ['Met when, by eye', 'A minute over the cross'],
      ['Met when, measured', '60 s within 1 m'],
      ['How much', '3 a pack'],
    ] as const)
      await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.goto(`/weakness/${id}/plan`);
    await page.getByRole('button', { name: 'Add a drill' }).click();
    await page.getByRole('button', { name: new RegExp(name) }).click();
    await page.getByLabel('Why another plan than the proposal?').fill('Winch work comes next.');
    await page.getByRole('button', { name: 'Use this plan' }).click();
    await expect(page.getByText(new RegExp(`\\d\\. ${name}`))).toBeVisible();
  });
});

test("a pilot's own page: by the link alone, with what is theirs; what they tell stands on Today; taken back, it is gone", async ({
  trainer,
  page,
  browser,
  baseURL,
}) => {
  const pilot = await drilled(trainer, page, 'Liv Oster');
  const own = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await own.goto(await linkOf(page, pilot));
  await expect(own.getByRole('heading', { name: pilot })).toBeVisible();
  await expect(own.getByText('Slow setting only.')).toBeVisible();
  await own.getByRole('button', { name: 'Tell us about a near-miss' }).click();
  await own.getByRole('button', { name: /^Person and surroundings/ }).click();
  await own.getByRole('button', { name: /^Birds/ }).click();
  await own.getByLabel('What happened?').fill('A crow came at it.');
  await own.getByRole('button', { name: 'Tell my trainer' }).click();
  await expect(own.getByText('Thank you')).toBeVisible();
  await trainer.today();
  await page.getByRole('link', { name: new RegExp(`${pilot}.*Near-miss today: Birds`) }).click();
  await expect(page.getByText('“From the pilot: A crow came at it.”')).toBeVisible();
  await page.goto('/pilots');
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByRole('button', { name: 'Take back' })).toHaveCount(0);
  await own.reload();
  await expect(
    own.getByText('This link leads nowhere any more: ask your trainer for a new one.'),
  ).toBeVisible();
});

test('on watch misses in a row limit the pilot again and ask for a check', async ({ trainer, page }) => {
  await drilled(trainer, page, 'Sten Moe');
  await page.getByRole('button', { name: 'Sign early, before every step is met' }).click();
  await page.getByLabel(/Why is it safe to sign now/).fill('Seen on the line with the crew.');
  await page.getByRole('button', { name: 'Sign early', exact: true }).click();
  await expect(page.getByText(/Next check in 7 days/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Count a rep on watch' }).click();
  await page.getByRole('button', { name: /^Practice ·/ }).click();
  await page.getByRole('radio', { name: /Tail-in hover/ }).click();
  await page.getByRole('radio', { name: 'Test' }).click();
  await page.getByRole('button', { name: 'Count on' }).click();
  await page.getByRole('button', { name: 'Announce 3 tests' }).click();
  for (let i = 0; i < 3; i += 1) {
    await tap(page, 'Missed');
    await tap(page, 'Not said');
  }
  await page.goBack();
  await expect(page.getByText('Limited again')).toBeVisible();
  await expect(page.getByText('Until cleared')).toBeVisible();
  await page.getByRole('link', { name: 'Sign-off sheet' }).click();
  await expect(page.getByText('Shown on the craft')).toBeVisible();
});
