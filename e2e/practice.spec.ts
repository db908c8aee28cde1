import { readFile, truncate, writeFile } from 'node:fs/promises';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { counted, drilled, weaknessId } from './drilling';
import { expect, type Page, test } from './field';

/** Flying a drill on the phone itself. */

/** What the figures under the field say, in their own units. */
const figure = async (page: Page, unit: RegExp): Promise<number> =>
  Number.parseFloat((await page.getByText(unit).textContent())!);
const start = (page: Page) => page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });
/** A firm lift-off and a hover, by the key of the throttle. */
async function popUp(page: Page): Promise<void> {
  await start(page);
  await page.keyboard.down('KeyW');
  await expect.poll(() => figure(page, /m up$/), { timeout: 20_000, intervals: [50] }).toBeGreaterThan(1.4);
  await page.keyboard.up('KeyW');
}

test('a drill waits with its marks, answers the keys of the layout, and says where it went in and why', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills/tail-in-hover');
  await page.getByRole('link', { name: 'Practise it here' }).click();
  await expect(page.getByRole('img', { name: 'The field from where the pilot stands' })).toBeVisible({
    timeout: 15_000,
  });
  await start(page);
  // The setting is switched in flight, as on a craft: it flies on.
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'Fast', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Start' })).toBeHidden();
  await page.getByRole('button', { name: 'Close' }).click();
  const before = await figure(page, /m away$/);
  // The stick on the screen goes along with the key, and rests when it is let go.
  const knob = page
    .getByRole('img', { name: /^Right stick/ })
    .locator('> div > div')
    .last();
  const lifted = () => knob.evaluate((each) => 0 - new DOMMatrix(getComputedStyle(each).transform).m42);
  expect(await lifted()).toBe(0);
  await page.keyboard.down('ArrowUp');
  await expect.poll(lifted).toBeGreaterThan(10);
  await expect.poll(() => figure(page, /m away$/), { timeout: 15_000 }).toBeGreaterThan(before + 4);
  await page.keyboard.up('ArrowUp');
  await expect.poll(lifted).toBe(0);
  await page.getByRole('button', { name: 'Again' }).click();
  await expect.poll(() => figure(page, /m away$/)).toBeLessThan(before + 2);

  // Without height hold the throttle is the rotors' own speed: pulled back, it comes down hard.
  await page.getByRole('radio', { name: 'Self-level' }).click();
  await start(page);
  await page.keyboard.down('KeyS');
  await expect(page.getByRole('alert')).toContainText('Into the ground', { timeout: 20_000 });
  await page.keyboard.up('KeyS');
  await expect(page.getByRole('heading', { name: 'Likely cause' })).toBeVisible();
  await expect(page.getByText('Nothing of it is logged.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Where it went wrong' }).click();
  await expect(page.getByRole('img', { name: 'Sticks as they were held' })).toBeVisible();
  // A reason shows the moment it was read at.
  const reason = page.getByRole('button', { name: /Shows at [\d.]+ s: look at it/ }).first();
  const saidAt = Number(/Shows at ([\d.]+) s/.exec((await reason.textContent())!)![1]);
  await reason.click();
  await expect
    .poll(async () => Number(await page.getByLabel('Moment of the flight').inputValue()))
    .toBeCloseTo(saidAt, 0);
});

test('on the other layout the same hand does another thing, and a thumb flies as a key does', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills/tail-in-hover/practice');
  await page.getByRole('radio', { name: 'Mode 1' }).click();
  await start(page);
  const stick = page.getByRole('img', { name: 'Right stick: throttle, roll' });
  await stick.scrollIntoViewIfNeeded();
  const box = (await stick.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + 10, { steps: 4 });
  await expect.poll(() => figure(page, /m up$/), { timeout: 15_000 }).toBeGreaterThan(5);
  await page.mouse.up();
});

test('a rep flown from a weakness is measured, goes to it as one on the simulator, and can be taken back', async ({
  trainer,
  page,
}) => {
  await drilled(trainer, page, 'Simulator pilot');
  const id = weaknessId(page);
  await page.goto(`/drills/pop-up-takeoff/practice?weakness=${id}`);
  await popUp(page);
  await expect(page.getByText(/^Recorded as (met|missed) on the simulator/)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText(/Within a span of the ground: /)).toBeVisible();
  await expect
    .poll(async () =>
      (await counted(trainer, id)).map((rep) => (rep as unknown as { flownOn: string }).flownOn),
    )
    .toEqual(['simulator']);
  await page.getByRole('button', { name: 'Take this rep back' }).click();
  await expect.poll(async () => (await counted(trainer, id)).length).toBe(0);
});

test('a flight is saved as an open log, judged again from it, and a log with a fault is told line and column', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills/pop-up-takeoff/practice');
  await popUp(page);
  await expect(page.getByText('Play', { exact: true })).toBeVisible({ timeout: 40_000 });
  const verdict = await page
    .getByText(/^Within a span|^[✓✗] Within a span/)
    .first()
    .textContent();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the flight' }).click(),
  ]);
  const csv = await readFile(await saved.path(), 'utf8');
  expect(csv.split('\n')[2]).toContain('time [s],east [m],north [m],up [m]');
  const judge = async (content: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Judge a log' }).click(),
    ]);
    await chooser.setFiles({ name: 'flight.csv', mimeType: 'text/csv', buffer: Buffer.from(content) });
  };
  await judge(csv);
  await expect(page.getByText(/^1\srep found/)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText(verdict!)).toHaveCount(2);
  await judge(csv.replace('up [m]', 'up [ft]'));
  await expect(page.getByText('"ft" is not its unit')).toBeVisible();
  const lines = csv.split('\n');
  await judge(
    [...lines.slice(0, 100), lines[100]!.replace(/^([^,]*,[^,]*,)[^,]*/, '$1far'), ...lines.slice(101)].join(
      '\n',
    ),
  );
  await expect(page.getByText('Line 101, north [m]: "far" is not a number')).toBeVisible();
});

/** Rotors stopped in the air: a rep that is soon over. */
async function fall(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'Self-level' }).click({ timeout: 20_000 });
  await page.keyboard.down('KeyS');
  await expect(page.getByRole('alert')).toContainText('Into the ground', { timeout: 20_000 });
  await page.keyboard.up('KeyS');
}

test('the phone is turned in flight and after it: it flies on, and the score stays', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills/fore-aft-line/practice');
  await start(page);
  const before = await figure(page, /m away$/);
  await page.keyboard.down('ArrowUp');
  await expect.poll(() => figure(page, /m away$/), { timeout: 15_000 }).toBeGreaterThan(before + 3);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.keyboard.up('ArrowUp');
  await expect(page.getByRole('button', { name: 'Start' })).toBeHidden();
  expect(await figure(page, /m away$/)).toBeGreaterThan(before + 2);
  await fall(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByRole('heading', { name: 'Likely cause' })).toBeVisible();
});

test('a phone on its side has the field between the thumbs; a thumb still down when a rep ends flies nothing on', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.setViewportSize({ width: 844, height: 390 });
  await page.goto('/drills/tail-in-hover/practice');
  await page.getByRole('radio', { name: 'Self-level' }).click({ timeout: 20_000 });
  const stick = page.getByRole('img', { name: 'Left stick: throttle, yaw' });
  const [left, view, right] = [
    (await stick.boundingBox())!,
    (await page.getByRole('img', { name: 'The field from where the pilot stands' }).boundingBox())!,
    (await page.getByRole('img', { name: 'Right stick: pitch, roll' }).boundingBox())!,
  ];
  expect(left.x + left.width).toBeLessThan(view.x);
  expect(view.x + view.width).toBeLessThan(right.x);
  await stick.scrollIntoViewIfNeeded();
  await start(page);
  const box = (await stick.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height - 4, { steps: 4 });
  await expect(page.getByRole('alert')).toContainText('Into the ground', { timeout: 20_000 });
  await page.mouse.up();
  await page.getByRole('button', { name: 'Again' }).click();
  // The throttle waits where it carries the craft: it does not fall.
  await start(page);
  await page.waitForTimeout(1_500);
  expect(await figure(page, /m up$/)).toBeGreaterThan(1.5);
});

test("a rep flown with a pilot's own link waits for signal, and then stands with the weakness", async ({
  trainer,
  page,
  browser,
  baseURL,
}) => {
  const pilot = await drilled(trainer, page, 'Own link');
  const id = weaknessId(page);
  await page.goto('/pilots');
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const address = (await page.getByText(/\/own#/).textContent())!;
  const context = await browser.newContext({ baseURL: baseURL! });
  const own = await context.newPage();
  await own.goto(address);
  // Ten minutes at most, each drill of them a tap away.
  await expect(own.getByRole('heading', { name: /^Today on the simulator: \d+ minutes$/ })).toBeVisible();
  await own
    .getByRole('link', { name: /For what is open/ })
    .first()
    .click();
  await expect(own.getByText(/m away$/)).toBeVisible({ timeout: 20_000 });
  await context.setOffline(true);
  await start(own);
  await fall(own);
  await expect(own.getByText(/^1\sentry waiting for signal/)).toBeVisible({ timeout: 20_000 });
  expect(await counted(trainer, id)).toHaveLength(0);
  await context.setOffline(false);
  await expect(own.getByText(/waiting for signal/)).toBeHidden({ timeout: 20_000 });
  await expect(own.getByText('Recorded as missed on the simulator')).toBeVisible();
  await expect.poll(async () => (await counted(trainer, id)).length).toBe(1);
  await context.close();
});

test('what a signed-in pilot flew without signal is theirs alone, and signing out tells that it would be lost', async ({
  trainer,
  page,
  browser,
  baseURL,
}) => {
  const pilot = await drilled(trainer, page, 'Own account');
  const id = weaknessId(page);
  await page.goto('/pilots');
  await page.getByRole('link', { name: pilot }).click();
  await page.getByRole('button', { name: 'Invite to an own sign-in' }).click();
  const address = await page.getByLabel('Link').innerText();
  const context = await browser.newContext({ baseURL: baseURL! });
  const own = await context.newPage();
  await own.goto(address);
  await own.getByLabel('E-mail, to sign in with').fill(`own-${Date.now()}@carrowfell.example`);
  await own.getByLabel(/^Password/).fill('two kestrels over a cold tarn');
  await own.getByRole('button', { name: 'Join' }).click();
  await own
    .getByRole('link', { name: /^Fly it here: / })
    .first()
    .click();
  await expect(own.getByText(/m away$/)).toBeVisible({ timeout: 20_000 });
  // Signal for everything but the rep.
  await own.route('**/api/own/reps/**', (route) => route.abort());
  await start(own);
  await fall(own);
  await expect(own.getByText(/^1\sentry waiting for signal/)).toBeVisible({ timeout: 20_000 });
  await own.goto('/account');
  await own.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(own.getByText('1 entry would be lost')).toBeVisible();
  await own.getByRole('button', { name: 'Sign out and lose them' }).click();
  await expect(own.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await own.unroute('**/api/own/reps/**');

  // Whoever signs in there next has nothing of it.
  await own.getByLabel('E-mail').fill(DEMO_TRAINERS[0].email);
  await own.getByLabel('Password').fill(DEMO_TRAINERS[0].password);
  await own.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(own.getByRole('heading', { name: 'Today' })).toBeVisible();
  expect(await counted(trainer, id)).toHaveLength(0);
  const held = await own.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name));
  expect(held).toContain('skelby-own');
  const left = await own.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('skelby-own');
        opening.onerror = () => reject(opening.error!);
        opening.onsuccess = () => {
          const counting = opening.result.transaction('items').objectStore('items').count();
          counting.onsuccess = () => resolve(counting.result);
        };
      }),
  );
  expect(left).toBe(0);
  await context.close();
});

test('a log of 300 MB, and one that is a single line, are turned away while the page goes on', async ({
  trainer,
  page,
}, info) => {
  await trainer.today();
  await page.goto('/drills/pop-up-takeoff/practice');
  const judge = async (megabytes: number) => {
    const path = info.outputPath(`${megabytes}.csv`);
    await writeFile(path, '');
    await truncate(path, megabytes * 1e6); // zeros, which take no room on the disk
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Judge a log' }).click(),
    ]);
    await chooser.setFiles(path);
  };
  await judge(300);
  await expect(page.getByText('The file has 300 MB: at most 150.')).toBeVisible();
  await judge(140);
  await page.getByRole('button', { name: 'Camera', exact: true }).click();
  await expect(page.getByRole('button', { name: 'From the ground' })).toBeVisible();
  await expect(page.getByText('Line 1: it has no end within 1 MB')).toBeVisible();
});

test('a link opens the drill as the trainer set it, without an account, and a wrong one says what is wrong', async ({
  trainer,
  page,
  browser,
}) => {
  await trainer.today();
  await page.goto('/drills/brake-to-mark/practice');
  await page.getByRole('radio', { name: 'Trees' }).click();
  await page.getByRole('radio', { name: 'Strong' }).click();
  const address = (await page.getByLabel('Link', { exact: true }).textContent())!;
  const stranger = await (await browser.newContext()).newPage();
  await stranger.goto(address);
  await expect(stranger.getByRole('radio', { name: 'Trees' })).toBeChecked({ timeout: 20_000 });
  await expect(stranger.getByRole('radio', { name: 'Strong' })).toBeChecked();
  await start(stranger);
  await expect(stranger.getByText(/m away$/)).toBeVisible();
  await stranger.goto(address.replace('gusts=strong', 'gusts=wild'));
  await expect(stranger.getByText('Gusts must be one of none, usual, strong')).toBeVisible({
    timeout: 20_000,
  });
  await stranger.context().close();
});

test('a transmitter is set up by moving its sticks, flies by them, and is known again', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.addInitScript(`
    window.pad = { id: 'Training transmitter', axes: [0, 0, 0, -1, 0], buttons: [{ pressed: false, value: 0 }, { pressed: false, value: 0 }] };
    navigator.getGamepads = () => [window.pad];
  `);
  await page.goto('/drills/tail-in-hover/practice');
  await page.getByRole('button', { name: 'Set the sticks up' }).click({ timeout: 20_000 });
  const push = (axis: number, value: number) => page.evaluate(`window.pad.axes[${axis}] = ${value}`);
  // Throttle on the fourth axis, yaw on the fifth the wrong way round, pitch and roll on the first two.
  for (const [axis, high, low] of [
    [3, 1, -1],
    [4, -0.8, 0.8],
    [1, -1, 1],
    [0, 1, -1],
  ] as const) {
    await push(axis, axis === 3 ? -1 : 0);
    for (const value of [high, low]) {
      await push(axis, value);
      await expect(page.getByText(`Axis ${axis + 1} moves.`)).toBeVisible();
      await page.getByRole('button', { name: 'It is there' }).click();
    }
    await push(axis, 0);
  }
  await expect(page.getByRole('button', { name: 'Set the sticks up again' })).toBeVisible();
  await push(3, 0.8);
  await start(page);
  await expect.poll(() => figure(page, /m up$/), { timeout: 15_000 }).toBeGreaterThan(4);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Set the sticks up again' })).toBeVisible({
    timeout: 20_000,
  });
});

test('where nothing can be drawn in three dimensions it says so, and map and figures still show the flight', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.addInitScript('HTMLCanvasElement.prototype.getContext = () => null;');
  await page.goto('/drills/fore-aft-line/practice');
  await expect(page.getByText('No picture: the part that draws did not start.')).toBeVisible({
    timeout: 20_000,
  });
  await start(page);
  await page.keyboard.down('ArrowUp');
  await expect.poll(() => figure(page, /m away$/), { timeout: 15_000 }).toBeGreaterThan(11);
  await page.keyboard.up('ArrowUp');
});

test('the phone leaned forward flies forward', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/fore-aft-line/practice');
  await page.getByRole('button', { name: 'Tilt flies pitch and roll' }).click();
  const lean = (beta: number) =>
    page.evaluate(
      `window.dispatchEvent(new DeviceOrientationEvent('deviceorientation', { alpha: 0, beta: ${beta}, gamma: 0 }))`,
    );
  await lean(40);
  await expect(page.getByRole('button', { name: 'Stop flying by tilt' })).toBeVisible();
  await start(page);
  await lean(25);
  await expect.poll(() => figure(page, /m away$/), { timeout: 15_000 }).toBeGreaterThan(12);
});

test('pilot-relative mode is switched in flight, and the craft flies on', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/relative-mode-discipline/practice');
  await start(page);
  await expect(page.getByText(/^2 of 4: /)).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'Pilot-relative on' }).click();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByRole('button', { name: 'Pilot-relative off' })).toBeVisible();
  await expect.poll(() => figure(page, /m away$/), { timeout: 20_000, intervals: [50] }).toBeGreaterThan(9);
  await page.keyboard.up('ArrowRight');
});

test('a drill that is not for the simulator leads nowhere here', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/drills/hover-check');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Practise it here' })).toBeHidden();
});
