import { readFileSync } from 'node:fs';
import { counted, drilled, met, weaknessId } from './drilling';
import { expect, type Page, tap, tapMet, test } from './field';

/** On to the next block, with whatever is left of this one. */
async function toTheNext(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^(Next|End)$/ }).click();
  const on = page.getByRole('button', { name: /^(Go on|End it)$/ });
  await on.click();
}

test.describe('a session', () => {
  const planFor = async (page: Page, pilot: string, wind: string) => {
    await page.goto('/session');
    await page.getByRole('checkbox', { name: pilot }).click();
    await page.getByLabel('Wind now', { exact: true }).fill(wind);
    await page.getByLabel('Wind now', { exact: true }).blur();
  };

  test('drills are moved and left out by buttons alone, and each move is told', async ({ trainer, page }) => {
    const pilot = await drilled(trainer, page, 'Elsin Rowe');
    await planFor(page, pilot, '1.5');
    await expect(page.getByText(/The best there is for this time/)).toBeVisible({ timeout: 30_000 });
    const later = page.getByRole('button', { name: / later$/ });
    const order = () =>
      page
        .getByRole('button', { name: /^Move / })
        .evaluateAll((all) => all.map((each) => each.getAttribute('aria-label')));
    const before = await order();
    expect(before.length).toBeGreaterThan(2);
    const name = (await later.first().getAttribute('aria-label'))!.replace(/ later$/, '');
    await later.first().focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(`${name} is now at place 2 of ${before.length}.`)).toBeAttached();
    expect(await order()).toEqual([before[1], before[0], ...before.slice(2)]);
    // The first has nothing before it, the last nothing after it.
    await expect(page.getByRole('button', { name: / earlier$/ })).toHaveCount(before.length - 1);
    await page.reload();
    await expect.poll(order).toEqual([before[1], before[0], ...before.slice(2)]);
    await page
      .getByRole('button', { name: `${name} earlier` })
      .first()
      .click();
    await expect.poll(order).toEqual(before);
    await page
      .getByRole('button', { name: `Leave out ${name}` })
      .first()
      .click();
    await expect.poll(order).toEqual(before.slice(1));
    await page.getByRole('button', { name: `Undo: ${name} left out` }).click();
    await expect.poll(order).toEqual(before);
  });

  test('is laid out, looked over, flown and ended; a crash on the way keeps drill, rep and wind', async ({
    trainer,
    page,
  }) => {
    const pilot = await drilled(trainer, page, 'Signe Vale');
    const id = weaknessId(page);
    await planFor(page, pilot, '1.5');
    await expect(page.getByText(/The best there is for this time/)).toBeVisible({ timeout: 30_000 });
    await page.getByRole('button', { name: 'To go or no-go' }).click();
    await expect(page.getByRole('heading', { name: 'Go or no-go' })).toBeVisible();
    const boxes = page.getByRole('checkbox', { checked: false });
    const before = await boxes.count();
    await page.getByRole('checkbox', { name: /^Rotors whole/ }).click();
    // Interrupted means nothing: what was ticked stays ticked.
    await page.reload();
    await expect(page.getByRole('checkbox', { name: /^Rotors whole/ })).toBeChecked();
    await expect(boxes).toHaveCount(before - 1);
    while ((await boxes.count()) > 0) await boxes.first().click();
    await page.getByRole('button', { name: 'Go', exact: true }).click();
    await expect(page.getByText(/0 of \d+ · 0 met/)).toBeVisible();
    await tapMet(page);
    await tap(page, 'Missed');
    await tap(page, 'Height');
    await expect(page.getByText(/2 of \d+ · 1 met/)).toBeVisible();
    // Next asks while reps are left; staying changes nothing, and from the next block one gets back.
    const first = await page.getByRole('heading', { level: 1 }).innerText();
    await tap(page, 'Next');
    await expect(page.getByText(/^2 of \d+ flown\. Go on all the same\?$/)).toBeVisible();
    await tap(page, 'Stay');
    await expect(page.getByText(/2 of \d+ · 1 met/)).toBeVisible();
    await toTheNext(page);
    await tap(page, 'Back to the drill before');
    await expect(page.getByRole('heading', { level: 1, name: first })).toBeVisible();
    await expect(page.getByText(/2 of \d+ · 1 met/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo last: missed' }).click();
    await expect(page.getByText(/1 of \d+ · 1 met/)).toBeVisible();
    await page.reload();
    await expect(page.getByText(/1 of \d+ · 1 met/)).toBeVisible();
    const drill = await page.getByRole('heading', { level: 1 }).textContent();
    await page.getByRole('link', { name: 'Fly it on the simulator' }).click();
    await expect(page.getByRole('heading', { name: 'Simulator' })).toBeVisible();
    await page.getByRole('button', { name: 'Back' }).click();
    await expect(page.getByText(/1 of \d+ · 1 met/)).toBeVisible();

    await page.getByRole('button', { name: 'Crash or near-miss' }).click();
    await page.getByRole('button', { name: 'Near-miss', exact: true }).click();
    await page.getByRole('button', { name: /^Stick handling/ }).click();
    await page.getByRole('button', { name: /^Over-control/ }).click();
    await expect(page.getByLabel(/What happened/)).toHaveValue(new RegExp(`In ${drill}.* rep 2\\.`));
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(/wind 1\.5\sm\/s/)).toBeVisible();

    await trainer.today();
    await page.getByRole('link', { name: 'Go on with the session' }).click();
    for (
      let i = 0;
      i < 12 && !(await page.getByRole('heading', { name: 'Your own eyes' }).isVisible());
      i += 1
    )
      await toTheNext(page);
    await page.getByRole('checkbox').first().click();
    await page.getByRole('radio').first().click();
    await page.getByRole('button', { name: 'Go on' }).click();
    await trainer.sent();
    const [rep] = await counted(trainer, id);
    expect(rep!.sessionId).not.toBeNull();
  });

  test('a no-go says why, and is overruled only with a reason; too much wind leaves nothing to fly', async ({
    trainer,
    page,
  }) => {
    const pilot = await drilled(trainer, page, 'Torben Lie');
    await planFor(page, pilot, '9');
    await expect(
      page.getByText(/^Refused\. The wind is 9\sm\/s and this pilot's limit 6\sm\/s/).first(),
    ).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText('Nothing to fly: see why below.')).toBeVisible();
    await page.getByLabel('Wind now', { exact: true }).fill('3');
    await page.getByLabel('Wind now', { exact: true }).blur();
    await page.getByRole('button', { name: 'To go or no-go' }).click();
    await expect(page.getByRole('button', { name: /no-go|still to look at/ })).toBeDisabled();
    await page.getByRole('button', { name: 'Go all the same' }).click();
    await page.getByRole('button', { name: 'Go', exact: true }).click();
    await expect(page.getByText(/Reason is empty/)).toBeVisible();
    await page.getByLabel(/Why is it safe/).fill('Alone on the field, trainer on the second transmitter.');
    await page.getByRole('button', { name: 'Go', exact: true }).click();
    await expect(met(page)).toBeVisible();
  });

  /** Straight to the first drill, whatever is not in order. */
  const goAllTheSame = async (page: Page) => {
    await page.getByRole('button', { name: 'To go or no-go' }).click();
    await page.getByRole('button', { name: 'Go all the same' }).click();
    await page.getByLabel(/Why is it safe/).fill('Tried in the hall, motors off.');
    await page.getByRole('button', { name: 'Go', exact: true }).click();
    await expect(met(page)).toBeVisible();
  };

  test('the screen stays awake, the beat is heard, and when the pack is down to its reserve it says land', async ({
    trainer,
    page,
  }) => {
    await page.addInitScript(`
      window.tones = [];
      const make = AudioContext.prototype.createOscillator;
      AudioContext.prototype.createOscillator = function () { const source = make.call(this); const start = source.start; source.start = function (...at) { window.tones.push(source.frequency.value); return start.apply(this, at); }; return source; };
      window.locks = 0;
      Object.defineProperty(navigator, 'wakeLock', { configurable: true, value: { request: async () => { window.locks += 1; return Object.assign(new EventTarget(), { release: async () => { window.locks -= 1; } }); } } });
    `);
    const tones = () => page.evaluate('window.tones') as Promise<number[]>;
    const pilot = await drilled(trainer, page, 'Liv Sandell');
    await planFor(page, pilot, '1');
    await goAllTheSame(page);
    expect(await page.evaluate('window.locks')).toBe(1);
    await page.getByRole('button', { name: 'Metronome', exact: true }).click();
    await expect
      .poll(async () => (await tones()).filter((hertz) => hertz === 1200).length, { timeout: 10_000 })
      .toBeGreaterThan(2);
    // Interrupted means nothing: the beat goes on after a reload, with the first touch at the latest.
    await page.reload();
    await expect(page.getByRole('button', { name: 'Metronome 40' })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('heading', { level: 1 }).click();
    await expect.poll(async () => (await tones()).length, { timeout: 10_000 }).toBeGreaterThan(1);
    await page.getByRole('button', { name: 'Metronome 40' }).click();
    await page.getByRole('button', { name: 'Metronome 60' }).click();
    await page.getByRole('button', { name: 'Metronome 80' }).click();
    await page.getByRole('button', { name: /^Start the pack/ }).click();
    await expect(page.getByRole('timer')).toBeVisible();
    await page.clock.setFixedTime(new Date(Date.now() + 8 * 60_000 + 1_000));
    await expect(page.getByText(/Landing reserve: land now, feet down at \d+ %/)).toBeVisible();
    await expect
      .poll(async () => (await tones()).filter((hertz) => hertz < 1000).length, { timeout: 10_000 })
      .toBe(3);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  });

  test('the light ends it sooner, and after dark it is a no-go', async ({ trainer, page }) => {
    const at = (hour: number) => trainer.on(new Date(new Date().setHours(hour, 0, 0, 0)));
    // From the beginning: a clock that is put back in the middle makes what was read before seem fresh.
    await at(9);
    const pilot = await drilled(trainer, page, 'Aino Kestrel');
    await planFor(page, pilot, '1');
    await expect(page.getByText(/The best there is/)).toBeVisible({ timeout: 30_000 });
    await page.getByLabel('First take-off').fill('16:00');
    await page.getByLabel('Light until').fill('15:30');
    await expect(
      page.getByText('Light until is before the first take-off: put one of them right.'),
    ).toBeVisible();
    await page.getByLabel('Light until').fill('16:10');
    await expect(page.getByText(/^1 pack, .*The best there is for this time/)).toBeVisible({
      timeout: 30_000,
    });
    await at(17);
    await page.getByRole('button', { name: 'To go or no-go' }).click();
    await expect(page.getByText('The light is gone. Another day, or the simulator.')).toBeVisible();
  });

  test('another trainer changed it meanwhile: both are shown, told in words, and one is chosen', async ({
    trainer,
    page,
    baseURL,
  }) => {
    const pilot = await drilled(trainer, page, 'Jens Rowantree');
    await planFor(page, pilot, '1');
    await page.getByRole('button', { name: 'To go or no-go' }).click();
    await expect(page.getByRole('heading', { name: 'Go or no-go' })).toBeVisible();
    await trainer.sent();
    const id = /session\/([^/?]+)/.exec(page.url())![1]!;
    const { content, revision } = (await (
      await trainer.context.request.get(`/api/sessions/${id}`)
    ).json()) as { content: object; revision: number };
    expect(
      (
        await trainer.context.request.put(`/api/sessions/${id}`, {
          data: { ...content, windMps: 4, basedOn: revision },
          headers: { Origin: baseURL! },
        })
      ).ok(),
    ).toBe(true);
    await page.getByRole('button', { name: 'Go all the same' }).click();
    await page.getByLabel(/Why is it safe/).fill('Tried in the hall.');
    await page.getByRole('button', { name: 'Go', exact: true }).click();
    await expect(page.getByText(/changed this meanwhile/)).toBeVisible();
    await expect(page.getByText(/^4\sm\/s$/)).toBeVisible();
    await page.getByRole('button', { name: 'Keep mine' }).click();
    await expect(met(page)).toBeVisible();
  });

  test('moved by hand it says what that costs, and goes back to the best', async ({ trainer, page }) => {
    const pilot = await drilled(trainer, page, 'Maia Stenn');
    await planFor(page, pilot, '1');
    await expect(page.getByText(/The best there is/)).toBeVisible({ timeout: 30_000 });
    await page
      .getByRole('button', { name: /^Leave out/ })
      .first()
      .click();
    await expect(page.getByText(/Your order costs \d+\s%/)).toBeVisible();
    await page.getByRole('button', { name: 'Back to the best' }).click();
    await expect(page.getByText(/The best there is/)).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Calendar file' }).click(),
    ]);
    expect(readFileSync(await download.path(), 'utf8')).toContain('BEGIN:VEVENT');
  });
});
