import { craftModel } from '../core/src/simulator/craft-model';
import { flyDrill } from '../core/src/synthetic-pilot/fly-drill';
import { craftFacts, USUAL_CRAFT } from '../core/src/vocabulary/craft-facts';
import { filmed } from './filmed';
import type { Page } from '@playwright/test';
import { counted, drilled, met, weaknessId } from './drilling';
import { expect, test } from './field';
import { bringIn, fileOf, SWINGS } from './recorder-files';

/** A flight looked through, judged as a drill, one of a day's many, and beside its video. */

test('a flight is looked through: a part marked on its lanes, played on, and stood before', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/flights/file');
  await bringIn(page, fileOf('fell-box'));
  const lanes = page.getByRole('img', { name: /^From 0:00 to \d:\d\d: speed, height, throttle/ });
  await expect(lanes).toBeVisible();
  await lanes.scrollIntoViewIfNeeded();
  const box = (await lanes.boundingBox())!;
  const at = (share: number) => box.x + share * box.width;
  await page.mouse.move(at(0.5), box.y + 60);
  await page.mouse.down();
  await page.mouse.move(at(0.7), box.y + 60, { steps: 4 });
  await page.mouse.up();
  // From a third to three fifths of what is drawn over time.
  await expect(page.getByRole('img', { name: /^From 0:1\d to 0:[23]\d: speed/ })).toBeVisible();
  const moment = page.getByRole('slider', { name: 'Moment of the flight' });
  const before = Number(await moment.inputValue());
  await page.getByRole('radio', { name: '×8' }).click();
  await page.getByRole('button', { name: 'Play' }).click();
  await expect.poll(async () => Number(await moment.inputValue())).toBeGreaterThan(before + 1);
  // At the end of the part it stops by itself.
  await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
  await page.getByRole('button', { name: 'From the ground' }).click();
  await expect(page.getByRole('img', { name: 'The field from where the pilot stands' })).toBeVisible();
  await expect(page.getByText(/Seen from .* behind where it took off/)).toBeVisible();
  await page.getByRole('button', { name: 'All of it' }).click();
  await expect(lanes).toBeVisible();
  // By keys: the slider moves by arrows, and Nearer needs no stroke.
  await moment.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  expect(Number(await moment.inputValue())).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Nearer' }).click();
  await expect(page.getByRole('button', { name: 'All of it' })).toBeVisible();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Lay another flight over it' }).click();
  await (await chooser).setFiles({ ...fileOf('scree-card', 0), name: 'before.csv' });
  await expect(page.getByRole('button', { name: 'Dashed: before.csv. Change' })).toBeVisible();
  await expect(page.locator('polyline[stroke-dasharray="3 4"]').first()).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the plan as a picture' }).click();
  expect((await saved).suggestedFilename()).toBe('flight-plan.svg');
});

/** A rep of a drill as a recorder in a hall writes it: carried over both marks first, 25 lines a second, in metres. */
function repInTheHall(begunAt: Date | null = null) {
  const { track } = flyDrill(craftModel(craftFacts(USUAL_CRAFT)), {
    ...{ drillId: 'half-thumb', side: null, windMps: 1, seed: 3 },
  });
  const lines: string[] = [];
  const timeOf = (t: number) =>
    begunAt ? new Date(begunAt.getTime() + 1000 * t).toISOString() : t.toFixed(3);
  const add = (t: number, x: number, y: number, z: number, others = '0,0,0,0,0,0,0,1,0,0,0') =>
    lines.push([timeOf(t), x.toFixed(3), y.toFixed(3), z.toFixed(3), others].join(','));
  const c = track.columns;
  const [x0, y0, z0] = [c.x[0]!, c.y[0]!, c.z[0]!];
  const way = [
    { at: [0, 0, 0], s: 3 },
    { at: [0, 0, 0], s: 10 },
    { at: [0, 20, 0], s: 2 },
    { at: [0, 20, 0], s: 8 },
    { at: [x0, y0, 0], s: 2 },
    { at: [x0, y0, 0], s: 4 },
    { at: [x0, y0, z0], s: 1 },
  ];
  let begun = 0;
  way.forEach(({ at, s }, i) => {
    const to = way[i + 1]?.at ?? at;
    for (let k = 0; k < s * 25; k += 1) {
      const u = k / (s * 25);
      const eased = u * u * (3 - 2 * u);
      const [x, y, z] = at.map((from, axis) => from + eased * (to[axis]! - from));
      add(begun + k / 25, x!, y!, z!);
    }
    begun += s;
  });
  for (let i = 0; i < track.length; i += 4) {
    const sticks = [c.throttle, c.yaw, c.pitch, c.roll].map((each) => each[i]!.toFixed(4));
    const attitude = [c.qw, c.qx, c.qy, c.qz].map((each) => each[i]!.toFixed(5));
    const speeds = [c.vx, c.vy, c.vz].map((each) => each[i]!.toFixed(4));
    add(begun + c.t[i]!, c.x[i]!, c.y[i]!, c.z[i]!, [...speeds, ...sticks, ...attitude].join(','));
  }
  // Nobody switches a recorder off as the last second is up.
  const last = track.length - 1;
  const [xn, yn, zn, tn] = [c.x[last]!, c.y[last]!, c.z[last]!, begun + c.t[last]!];
  for (let k = 1; k < 150; k += 1) add(tn + k / 25, xn, yn, zn);
  const header = `${begunAt ? 'time' : 'time (s)'},east (m),north (m),up (m),v east (m/s),v north (m/s),v up (m/s),stick throttle,stick yaw,stick pitch,stick roll,q w,q x,q y,q z`;
  return {
    name: 'hall.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([header, ...lines].join('\n')),
  };
}

test('a line that nobody flies over is marked by two moments, and where it was crossed stands among the events', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/flights/file');
  await bringIn(page, fileOf('fell-box', 0));
  await page.getByRole('button', { name: 'Mark a line that nobody flies over' }).click();
  const moment = page.getByRole('slider', { name: 'Moment of the flight' });
  // From where it took off to the far corner of its box: it comes home over that.
  for (const [at, clock] of [
    ['2', '0:02'],
    ['20', '0:20'],
  ] as const) {
    await moment.fill(at);
    await page.getByRole('button', { name: `Here: where it was at ${clock}` }).click();
  }
  await expect(page.getByRole('button', { name: 'Take the line out' })).toBeVisible();
  await expect(page.getByText(/\d\. 0:\d\d Over the line/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Take the line out' }).click();
  await expect(page.getByText(/Over the line/)).toBeHidden();
});

/** Marks where the pilot stood and what lay ahead, judges the part, and takes its rep to the count. */
async function judgeBetweenMarks(page: Page): Promise<void> {
  const moment = page.getByRole('slider', { name: 'Moment of the flight' });
  await page.getByRole('button', { name: 'Where the pilot stood' }).click();
  await moment.focus();
  await page.keyboard.press('Home');
  await page.getByRole('button', { name: /^Here: where it was at 0:00/ }).click();
  await expect(page.getByText('What lay straight ahead of the pilot?', { exact: false })).toBeVisible();
  await moment.fill('14');
  await page.getByRole('button', { name: /^Here: where it was at 0:14/ }).click();
  await expect(page.getByText(/^Set up where the dashed line is/)).toBeVisible();
  await page.getByRole('button', { name: /^Judge 0:00 to/ }).click();
  await expect(page.getByText(/^1 rep: 1 met, 0 missed\.$/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Take it to the count' }).click();
}

test('a part of a flight is judged as a drill between its marks, and taken to the count of a weakness', async ({
  trainer,
  page,
}) => {
  await drilled(trainer, page, 'Sunniva Holt');
  const id = weaknessId(page);
  await page.goto(`/weakness/${id}/reps?drill=half-thumb`);
  await page.getByRole('link', { name: 'Judge it from a flight file' }).click();
  await bringIn(page, repInTheHall());
  const judge = page.getByRole('button', { name: /^Judge 0:00 to/ });
  await expect(judge).toBeVisible();
  // Nobody marked anything: what fits is drawn, and is not called met.
  await judge.click();
  await expect(page.getByText(/^1\. .*: cannot tell$/)).toBeVisible({ timeout: 60_000 });
  await judgeBetweenMarks(page);
  await expect(page.getByText('What the flight says')).toBeVisible();
  await expect(page.getByText(/^Met\./)).toBeVisible();
  await met(page).click();
  await trainer.sent();
  const [rep] = await counted(trainer, id);
  expect(rep).toMatchObject({ judgedBy: 'flight' });
  // The next one is judged by eye again.
  await expect(page.getByText('What the flight says')).toBeHidden();
  // One of another day goes to that day, as practice: nobody had announced it.
  await page.getByRole('link', { name: 'Judge it from a flight file' }).click();
  await bringIn(page, repInTheHall(new Date('2026-05-09T09:00:00Z')));
  await judgeBetweenMarks(page);
  await expect(page.getByText(/^Flown on 9 May.*: it goes there, as practice\.$/)).toBeVisible();
  await met(page).click();
  await trainer.sent();
  expect(await counted(trainer, id)).toContainEqual(
    expect.objectContaining({ day: '2026-05-09', purpose: 'practice', judgedBy: 'flight' }),
  );
});

test('a day of files: read one after the other, asked once whose they are, and none added twice', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Runa Holt');
  await page.goto('/flights/day');
  const files = [0, 1, SWINGS].map((lesson) => ({
    ...fileOf('scree-card', lesson),
    name: `flight-${lesson}-${pilot}.csv`,
  }));
  const pick = async (some: typeof files) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /^(Pick the files|More files)$/ }).click();
    await (await chooser).setFiles(some);
  };
  const noise = { name: 'noise.csv', mimeType: 'text/csv', buffer: Buffer.from('one,two\nthree,four\n') };
  await pick([...files, { ...files[0]!, name: 'copy.csv' }, noise]);
  await expect(page.getByText('Not read: 1')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/no line of figures/)).toBeVisible();
  const boxes = page.getByRole('checkbox', { name: /^✓ flight-/ });
  const fresh = await boxes.count();
  // With few pilots all stand there.
  const finder = page.getByLabel('Who flew: find by name');
  if (await finder.isVisible()) await finder.fill(pilot);
  await page.getByRole('radio', { name: pilot }).click();
  for (const label of ['Craft', 'Site']) {
    const group = page.getByRole('radiogroup', { name: label });
    if (await group.getByRole('radio', { checked: true }).isHidden())
      await group.getByRole('radio').first().click();
  }
  await page.getByLabel('Wind', { exact: true }).fill('2');
  if (fresh > 0) {
    await page.getByRole('button', { name: new RegExp(`^Add ${fresh} flights? of`) }).click();
    await trainer.sent();
  }
  await expect(page.getByText('Among what was flown: 4')).toBeVisible({ timeout: 30_000 });
  // Picked again, on this phone or another, they are known.
  await page.reload();
  await pick(files);
  await expect(page.getByText('Among what was flown: 3')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^Not yet among what was flown/)).toBeHidden();
});

test('a video stays on the phone, is put in step with the flight, and its mistakes are marked by two keys', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Orrin Tarrel', '6');
  await trainer.today();
  const video = { name: 'meadow.webm', mimeType: 'video/webm', buffer: await filmed(page) };
  await page.goto('/flights/file');
  await bringIn(page, fileOf('fell-box'));
  const look = async () => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Look at a video' }).click();
    await (await chooser).setFiles(video);
    await expect(page.locator('video')).toBeVisible();
  };
  const sent: string[] = [];
  page.on('request', (request) => sent.push(request.method()));
  await look();
  await page.getByRole('button', { name: 'It takes off here' }).click();
  await expect(page.getByText('In step with the flight.')).toBeVisible();
  const moment = page.getByRole('slider', { name: 'Moment of the flight' });
  const before = Number(await moment.inputValue());
  await page.locator('video').evaluate((element) => (element as HTMLVideoElement).play());
  await expect.poll(async () => Number(await moment.inputValue())).toBeGreaterThan(before);
  await page.locator('video').focus();
  await page.keyboard.press('m');
  await expect(page.getByText(/^What was it, at 0:0\d\?$/)).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.getByRole('button', { name: /^0:0\d Too fast/ })).toBeVisible();
  expect(sent.filter((method) => method !== 'GET')).toEqual([]);
  // Picked again another day, its marks are there.
  await page.reload();
  await bringIn(page, fileOf('fell-box'));
  await look();
  await expect(page.getByText('1 mark', { exact: true })).toBeVisible();
  await expect(page.getByText('Most often too fast: Brake to the mark, then Slow slalom.')).toBeVisible();
  await page.getByRole('button', { name: 'Log what was marked' }).click();
  await expect(page.getByRole('heading', { name: 'Who was flying?' })).toBeVisible();
  // What was marked is asked about first in the debrief of what was logged.
  await trainer.findPilot(pilot);
  await page.getByRole('button', { name: pilot }).click();
  await page.getByRole('button', { name: 'Near-miss', exact: true }).click();
  await page.getByRole('button', { name: /^Stick handling/ }).click();
  await page.getByRole('button', { name: /^Over-control/ }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: /^Debrief/ }).click();
  await page.getByRole('button', { name: 'I cannot say yet' }).click();
  await expect(page.getByText('Marked in the video: too fast')).toBeVisible();
  await page.getByRole('button', { name: 'None of these' }).click();
  await expect(page.getByRole('heading', { name: 'Was it in the setting you believed?' })).toBeVisible();
});
