import { expect, test } from './field';

/** A school says how it teaches, one pilot is taught otherwise, and the plan says so. */

test('a way of teaching is chosen for the school and for one pilot, and stays after a reload', async ({
  page,
  trainer,
}) => {
  await trainer.today();
  await page.goto('/school/methods');
  const sensors = page.getByRole('radiogroup', { name: 'Obstacle sensors' });
  await sensors.getByRole('radio', { name: /Used, once/ }).click();
  await expect(sensors.getByRole('radio', { name: /Used, once/ })).toBeChecked();
  await page.reload();
  await expect(sensors.getByRole('radio', { name: /Used, once/ })).toBeChecked();

  await page.goto('/pilots');
  await page.getByRole('link', { name: /Tove Lindqvane/ }).click();
  await page.getByRole('link', { name: 'How this pilot is taught' }).click();
  const own = page.getByRole('radiogroup', { name: 'Obstacle sensors' });
  await expect(own.getByRole('radio', { name: /As the school: used/ })).toBeChecked();
  await own.getByRole('radio', { name: /Flown as if they were off/ }).click();
  await expect(own.getByRole('radio', { name: /Flown as if they were off/ })).toBeChecked();
  await page.reload();
  await expect(own.getByRole('radio', { name: /Flown as if they were off/ })).toBeChecked();
  await own.getByRole('radio', { name: /As the school/ }).click();
  await page.goto('/school/methods');
  await sensors.getByRole('radio', { name: /Flown as if they were off/ }).click();
  await expect(sensors.getByRole('radio', { name: /Flown as if they were off/ })).toBeChecked();
});
