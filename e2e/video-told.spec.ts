import { rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { linkOf } from './drilling';
import { expect, test } from './field';
import { filmed } from './filmed';
import { bringIn } from './recorder-files';

/** A video whose clock is trusted, and one whose marks go further than the phone they were made on. */

/** Half a minute up, along and down, ten lines a second, by the clock of the world. */
function flightFrom(begins: Date) {
  const lines = Array.from({ length: 300 }, (_, i) => {
    const t = i / 10;
    const up = Math.min(t / 3, 1, (30 - t) / 3) * 4;
    const along = Math.max(0, Math.min(t - 5, 18)) * 1.5;
    return [
      new Date(begins.getTime() + 1000 * t).toISOString(),
      along.toFixed(2),
      '0.00',
      up.toFixed(2),
    ].join();
  });
  const buffer = Buffer.from(['time,x [m],y [m],z [m]', ...lines].join('\n'));
  return { name: 'by-the-clock.csv', mimeType: 'text/csv', buffer };
}

test('a video of the same minute is put in step by both clocks, once its length is known', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/flights/file');
  const begins = new Date('2026-05-09T09:00:00Z');
  await bringIn(page, flightFrom(begins));
  const film = path.join(tmpdir(), `clock-${Date.now()}.webm`);
  writeFileSync(film, await filmed(page));
  // A camera writes its file as it stops: twelve seconds into the flight.
  const ended = new Date(begins.getTime() + 12_000);
  utimesSync(film, ended, ended);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Look at a video' }).click();
  await (await chooser).setFiles(film);
  const video = page.locator('video');
  await expect(video).toBeVisible();
  // A phone's own recording says how long it is when it has been played through.
  await video.evaluate(async (element: HTMLVideoElement) => {
    element.muted = true;
    element.playbackRate = 4;
    await element.play();
  });
  const offer = page.getByRole('button', { name: /^By the clocks: it begins at 0:0[78] of the flight$/ });
  await expect(offer).toBeVisible({ timeout: 20_000 });
  await offer.click();
  await expect(page.getByText('In step with the flight.')).toBeVisible();
  rmSync(film);
});

test('what a pilot marks on their own page and tells is asked first in the debrief on the phone of the trainer', async ({
  trainer,
  page,
  browser,
  baseURL,
}) => {
  const pilot = await trainer.addPilot('Ellis Farrand', '6');
  await trainer.today();
  const own = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await own.goto(await linkOf(page, pilot));
  const video = { name: 'own.webm', mimeType: 'video/webm', buffer: await filmed(own) };
  const chooser = own.waitForEvent('filechooser');
  await own.getByRole('button', { name: 'Look at a video' }).click();
  await (await chooser).setFiles(video);
  await expect(own.locator('video')).toBeVisible();
  await own.getByRole('button', { name: 'Mark a mistake' }).click();
  await own.getByRole('button', { name: '5 Too fast' }).click();
  await own.getByRole('button', { name: 'Tell what was marked' }).click();
  await own.getByRole('button', { name: /^Stick handling/ }).click();
  await own.getByRole('button', { name: /^Over-control/ }).click();
  await own.getByRole('button', { name: 'Tell my trainer' }).click();
  await expect(own.getByText('Thank you')).toBeVisible();
  await trainer.today();
  await page.getByRole('link', { name: new RegExp(`${pilot}.*Near-miss today`) }).click();
  await page.getByRole('link', { name: /^Debrief/ }).click();
  await page.getByRole('button', { name: 'I cannot say yet' }).click();
  await expect(page.getByText('Marked in the video: too fast')).toBeVisible();
  await page.getByRole('button', { name: 'None of these' }).click();
  await expect(page.getByRole('heading', { name: 'Was it in the setting you believed?' })).toBeVisible();
});
