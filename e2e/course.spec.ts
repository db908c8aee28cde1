import { expect, tap, tapMet, test } from './field';

/** The way in for somebody who has not crashed, and what the school can be told of itself. */

test('a pilot without a crash: seen before, passed in one test, counted without signal, and flown in a session', async ({
  trainer,
  page,
  context,
}) => {
  const pilot = await trainer.addPilot('Ivo Karnside', '6');
  await trainer.findPilot(pilot);
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('link', { name: /^Course/ }).click();
  await expect(page.getByText('0 of 8 lessons shown')).toBeVisible();
  await page.getByRole('link', { name: 'Go on: Pre-flight aloud' }).click();

  // What was seen before is marked with who saw it, drill by drill, and leads on to the next.
  for (let drills = 0; drills < 4; drills += 1) {
    await page.getByRole('button', { name: 'Seen before: mark it as shown' }).click();
    await page.getByLabel('Who saw it, and where?').fill('Hanne, at the hangar');
    await page.getByRole('button', { name: 'It was shown' }).click();
    await page.getByRole('button', { name: /^Next: / }).click();
  }
  // The last of the lesson in one test; a slip is undone, and the test is there again.
  const one = page.getByRole('button', { name: 'Flies it already: one test decides' });
  await one.click();
  await expect(page.getByText('The next attempt is the test')).toBeVisible();
  await tap(page, 'Missed');
  await tap(page, 'Not said');
  await expect(one).toBeHidden();
  await tap(page, 'Undo the last: missed');
  await one.click();
  await tapMet(page);
  await page.getByRole('button', { name: 'Next: One axis at a time' }).click();
  await trainer.sent();

  // Without signal it is counted all the same, and a later lesson waits.
  await context.setOffline(true);
  await tapMet(page);
  await tapMet(page);
  await expect(page.getByText('2 of 2 met: 5 more in a row would do.')).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText('1 of 8 lessons shown')).toBeVisible();
  await context.setOffline(false);
  await trainer.sent();
  const folded = page.getByRole('button', { name: /^All \d+ of this list$/ });
  while ((await folded.count()) > 0) await folded.first().click();
  await page.getByRole('link', { name: /^Nose-in hover/ }).click();
  await expect(page.getByText(/^A lesson before it is not shown yet/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Met', exact: true })).toBeHidden();

  // A session lays out what is open of the lesson.
  await page.goto('/session');
  await page.getByRole('checkbox', { name: pilot }).click();
  await page.getByLabel('Wind now', { exact: true }).fill('1.5');
  await page.getByLabel('Wind now', { exact: true }).blur();
  await expect(page.getByText('For the course: 5 more in a row would do.').first()).toBeVisible({
    timeout: 30_000,
  });
  await page.getByRole('button', { name: 'To go or no-go' }).click();
  await expect(page.getByRole('heading', { name: 'Go or no-go' })).toBeVisible();
  const boxes = page.getByRole('checkbox', { checked: false });
  while ((await boxes.count()) > 0) await boxes.first().click();
  await page.getByRole('button', { name: 'Go', exact: true }).click();
  await expect(page.getByText(/^For the course\. /)).toBeVisible();
  const status = page.getByRole('status').filter({ hasText: ' of ' });
  await expect(status.first()).toContainText('0 of');
  await tapMet(page);
  await expect(status.first()).toContainText('1 of');
  await trainer.sent();

  // At a glance, and after a reload.
  await page.goto('/course');
  await trainer.findPilot(pilot);
  await expect(page.getByRole('link', { name: new RegExp(`${pilot}.*Lesson 2, first hands`) })).toBeVisible();
});

test('the school is told how often, where and what cannot be told apart', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/kit');
  await page.getByRole('link', { name: /^Insight/ }).click();
  await expect(page.getByText(/^Crashes: .* per 100 flights \(/)).toBeVisible();
  await expect(page.getByText('Is it getting worse?')).toBeVisible();
  await expect(page.getByRole('img', { name: /beyond what chance makes/i })).toBeVisible();
  await page.getByRole('radio', { name: '24 months' }).click();
  await expect(page.getByText(/^Crashes: /)).toBeVisible();
});
