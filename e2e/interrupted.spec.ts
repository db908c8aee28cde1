import { drilled } from './drilling';
import { expect, tap, test } from './field';

/** A reload, a call, the bar below, another tab: nothing that was begun is lost, and nothing goes to another. */

test('a form half filled in is there after a reload, is offered by name on Today, and can be begun again', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Ketil Brae');
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('link', { name: 'Change this pilot' }).click();
  await page.getByLabel('Wind limit, m/s').fill('7,5');
  await page.reload();
  await expect(page.getByLabel('Wind limit, m/s')).toHaveValue('7.5');
  await expect(page.getByText('Not saved yet')).toBeVisible();
  // Another form is another one.
  await page.goto('/pilots/new/edit');
  await expect(page.getByLabel('Wind limit, m/s')).not.toHaveValue('7.5');
  await expect(page.getByText('Not saved yet')).toBeHidden();
  await trainer.today();
  await page
    .getByRole('link', { name: new RegExp(`${pilot}.*`) })
    .first()
    .click();
  await expect(page.getByLabel('Wind limit, m/s')).toHaveValue('7.5');
  // Thrown away by a slip, it is brought back.
  await trainer.today();
  const drop = page.getByRole('button', { name: new RegExp(`^Throw away: .*${pilot}`) });
  await drop.click();
  await expect(drop).toBeHidden();
  await page.getByRole('button', { name: /^Thrown away: .* Bring it back$/ }).click();
  await page
    .getByRole('link', { name: new RegExp(`${pilot}.*`) })
    .first()
    .click();
  await expect(page.getByLabel('Wind limit, m/s')).toHaveValue('7.5');
  await page.getByRole('button', { name: 'Begin again from what is saved' }).click();
  await expect(page.getByLabel('Wind limit, m/s')).toHaveValue('2');
  await page.getByLabel('Wind limit, m/s').fill('3');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(page.getByRole('button', { name: new RegExp(`^Throw away: .*${pilot}`) })).toBeHidden();
});

test('a changed plan and its reason outlive a reload; saved, nothing of them is left', async ({
  trainer,
  page,
}) => {
  await drilled(trainer, page, 'Liv Ness');
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  const drop = page.getByRole('button', { name: /^Drop / });
  await expect(drop.first()).toBeVisible();
  const all = await drop.count();
  await drop.last().click();
  await page.getByLabel('Why another plan than the proposal?').fill('Short of time');
  await page.reload();
  await expect(drop).toHaveCount(all - 1);
  await expect(page.getByLabel('Why another plan than the proposal?')).toHaveValue('Short of time');
  await page.getByRole('button', { name: 'Use this plan' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Over-control' })).toBeVisible();
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await expect(drop).toHaveCount(all - 1);
  await expect(page.getByRole('button', { name: 'Use this plan' })).toBeDisabled();
});

test('back from a logged entry leads to where the log was begun, however many questions lay between', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Marit Ledge');
  await trainer.today();
  await trainer.log(pilot, 'Near-miss', 'Stick handling', 'Over-control');
  await expect(page.getByRole('button', { name: 'Confirm: Over-control' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  // Begun at the pilot's page, it leads back there.
  await page.goto('/pilots');
  await trainer.findPilot(pilot);
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('link', { name: /Log a crash/ }).click();
  for (const name of [/^Near-miss$/, /^Stick handling/, /^Over-control/, /^Save$/])
    await page.getByRole('button', { name }).click();
  await expect(page.getByText(/Over-control/).first()).toBeVisible();
  await expect(page).toHaveURL(/\/occurrence\//);
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(
    page
      .getByText('Restrictions now')
      .or(page.getByRole('heading', { name: pilot }))
      .first(),
  ).toBeVisible();
});

test('two tabs of one debrief are joined answer by answer; only what both changed is asked about', async ({
  trainer,
  page,
  context,
}) => {
  const pilot = await trainer.addPilot('Nora Twin');
  await trainer.today();
  await trainer.log(pilot, 'Crash', 'Obstacles', 'Could not stop');
  await page.getByRole('link', { name: 'Debrief', exact: true }).click();
  const address = page.url();
  const other = await context.newPage();
  await other.goto(address);
  for (const tab of [page, other]) {
    await tab.getByRole('button', { name: 'I cannot say yet' }).click();
    await tap(tab, 'None of these');
    await tab.getByRole('radio', { name: 'Decide' }).click();
  }
  // Each tab says something else, and both say what broke.
  await page.getByRole('radio', { name: 'It was: Small repair' }).click();
  await page.getByLabel('Another part').fill('Left sk');
  await page.reload();
  await expect(page.getByLabel('Another part')).toHaveValue('Left sk');
  await page.getByRole('checkbox', { name: 'Camera mount' }).click();
  await other.getByRole('radio', { name: 'First aid' }).click();
  await other.getByRole('checkbox', { name: 'Battery' }).click();
  await page.getByRole('button', { name: 'Save it as it is and finish later' }).click();
  await trainer.sent();
  await expect(other.getByText('Otherwise in both: damage.')).toBeVisible({ timeout: 90_000 });
  await tap(other, 'Keep mine there');
  await expect(other.getByRole('radio', { name: 'It was: Small repair' })).toBeChecked();
  await expect(other.getByRole('radio', { name: 'First aid' })).toBeChecked();
  await expect(other.getByRole('checkbox', { name: 'Battery' })).toBeChecked();
  await expect(other.getByRole('checkbox', { name: 'Camera mount' })).not.toBeChecked();
});
