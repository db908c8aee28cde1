import { counted, drilled, met, weaknessId } from './drilling';
import { expect, test } from './field';

test('reps are counted by a clicker while the drill is read aloud; off until it is switched on', async ({
  trainer,
  page,
}) => {
  // A voice that writes down what it says, and a headset whose keys can be pressed.
  await page.addInitScript(() => {
    const spoken: string[] = [];
    const pressed: Record<string, (() => void) | null> = {};
    Object.assign(window, { spoken, pressed });
    Object.defineProperty(window, 'speechSynthesis', {
      value: { cancel: () => undefined, speak: ({ text }: { text: string }) => spoken.push(text) },
    });
    navigator.mediaSession.setActionHandler = (action, act) => {
      pressed[action] = act as (() => void) | null;
    };
  });
  const spoken = () => page.evaluate(() => (window as unknown as { spoken: string[] }).spoken);
  await drilled(trainer, page, 'Torben Aske');
  const id = weaknessId(page);
  await page.goto(`/weakness/${id}/reps`);
  await expect(met(page)).toBeVisible();
  await page.keyboard.press('PageDown');
  expect(await spoken()).toEqual([]);
  await page.getByRole('button', { name: 'Count hands-free: clicker, keys or headset' }).click();
  await expect.poll(spoken).toEqual([expect.stringMatching(/ 0 flown, 0 met\.$/)]);
  await page.keyboard.press('PageDown');
  await expect.poll(async () => (await spoken()).at(-1)).toBe('1 flown, 1 met.');
  // A finger that presses twice, and a key of the headset.
  await page.waitForTimeout(700);
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await expect
    .poll(async () => (await spoken()).at(-1))
    .toMatch(/^Missed\. Missed again leaves the reason out/);
  await page.waitForTimeout(700);
  await page.evaluate(() =>
    (window as unknown as { pressed: Record<string, () => void> }).pressed['previoustrack']!(),
  );
  await expect.poll(async () => (await spoken()).at(-1)).toBe('2 flown, 1 met.');
  await trainer.sent();
  const reps = await counted(trainer, id);
  expect(reps.map(({ missReason }) => missReason)).toEqual([null, null]);
  // It stays on after a reload, and says the drill again when asked.
  await page.reload();
  await expect(met(page)).toBeVisible();
  await page.waitForTimeout(700);
  await page.keyboard.press('b');
  await expect.poll(async () => (await spoken()).length).toBeGreaterThanOrEqual(2);
  await page.getByRole('button', { name: 'Hands-free is on: switch it off' }).click();
  await page.keyboard.press('PageDown');
  await trainer.sent();
  expect(await counted(trainer, id)).toHaveLength(2);
});
