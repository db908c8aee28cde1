import { v7 as uuid } from 'uuid';
import { DRILLS } from '@skelby/core/drills/drills';
import type { Block } from '@skelby/core/plan/layout/block';
import { layOut } from '@skelby/core/plan/layout/lay-out';
import { CannotGoOn } from '../tools/say';
import { signedIn } from './api';
import { AFTER_PAINT, inBrowser, NOTE_WHEN_USABLE, untilUsable } from './in-browser';

const SLOWED = 4;
const RUNS = 5;
const QUEUED = 2_000;
const BATCH = 100;

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/**
 * Run in the page: from each tap on Met, times how long until the words or the chart say otherwise and are
 * drawn.
 */
const NOTE_TAPS = `(() => {
  const AFTER_PAINT = ${AFTER_PAINT};
  const said = () => document.body.textContent + Array.from(document.querySelectorAll('svg path, svg circle'), (each) => each.getAttribute('d') ?? each.getAttribute('cx')).join();
  window.benchTaps = [];
  let tap = null;
  document.addEventListener('click', (event) => { if (event.target.closest('button')?.textContent.endsWith('Met')) tap = { before: said(), at: event.timeStamp }; }, true);
  new MutationObserver(() => {
    if (!tap || said() === tap.before) return;
    const { at } = tap;
    tap = null;
    AFTER_PAINT(() => window.benchTaps.push(performance.now() - at));
  }).observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
})()`;
const TAPS = 12;

export interface FieldFigures {
  /** Opening the app without signal after one visit, processor slowed 4×, ms. */
  readonly offlineStart: number;
  /** From a tap on Met to the page that shows it, processor slowed 4×, ms. */
  readonly tap: { readonly median: number; readonly most: number };
  /** The library page's own work for each frame, processor slowed 4×, ms. */
  readonly frame: { readonly median: number; readonly p95: number; readonly frames: number };
}

export function measureField(base: string, executablePath: string): Promise<FieldFigures> {
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    await page.addInitScript(NOTE_WHEN_USABLE);
    const devtools = await context.newCDPSession(page);
    await page.goto(base);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    // What is read without signal is written down a few seconds after the first page.
    await page.waitForTimeout(9_000);

    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await context.setOffline(true);
    const starts: number[] = [];
    for (let i = 0; i < RUNS; i += 1) starts.push(await untilUsable(page, base));
    await context.setOffline(false);

    await page.goto(base);
    await page
      .getByRole('link', { name: /Oska Merrin.*Yaw tumble/ })
      .first()
      .click();
    await page.getByRole('link', { name: /Power turn Decides/ }).click();
    await page.getByRole('button', { name: /^Practice ·/ }).click();
    await page.getByRole('radio', { name: 'Test' }).click();
    await page.getByRole('button', { name: 'Count on' }).click();
    await page.evaluate(NOTE_TAPS);
    for (let i = 1; i <= TAPS; i += 1) {
      await page.getByRole('button', { name: 'Met', exact: true }).click();
      await page.waitForFunction(
        (so) => (window as unknown as { benchTaps: number[] }).benchTaps.length >= so,
        i,
        { polling: 100, timeout: 10_000 },
      );
    }
    const taps = await page.evaluate(() => (window as unknown as { benchTaps: number[] }).benchTaps);

    await page.goto(`${base}/drills/circle-both-ways`);
    await page.getByRole('button', { name: 'Play' }).click();
    await page.waitForTimeout(6_000);
    const frames = (
      await page.evaluate(() => performance.getEntriesByName('skelby.frame').map((entry) => entry.duration))
    )
      .slice(5)
      .sort((a, b) => a - b);
    return {
      offlineStart: median(starts),
      tap: { median: median(taps), most: Math.max(...taps) },
      frame: {
        median: median(frames),
        p95: frames[Math.floor(0.95 * frames.length)]!,
        frames: frames.length,
      },
    };
  });
}

/**
 * Seconds until the server has taken so many reps from one phone, for weaknesses in turn, a hundred at a
 * time.
 */
export async function measureSync(
  base: string,
): Promise<{ readonly reps: number; readonly seconds: number }> {
  const headers = await signedIn(base);
  const { weaknesses } = (await (await fetch(`${base}/api/today`, { headers })).json()) as {
    weaknesses: { id: string; state: string }[];
  };
  const open = weaknesses.filter((each) => each.state === 'drilling').slice(0, 4);
  const start = Date.now() - QUEUED * 1_000;
  const commands = Array.from({ length: QUEUED }, (_, i) => ({
    key: uuid(),
    path: `/reps/${uuid()}`,
    stamp: 'flownAt',
    body: {
      weaknessId: open[i % open.length]!.id,
      drillId: 'hold-off-hover',
      purpose: 'practice',
      met: true,
      missReason: null,
      side: null,
      band: 'calm',
      flownOn: 'craft',
      mode: 'height-hold',
      pilotRelative: false,
      pack: 1,
      day: new Date().toISOString().slice(0, 10),
      flownAt: new Date(start + i * 1_000).toISOString(),
    },
  }));
  const started = performance.now();
  for (let from = 0; from < QUEUED; from += BATCH) {
    const answer = await fetch(`${base}/api/sync`, {
      method: 'POST',
      headers,
      body: JSON.stringify({
        sentAt: new Date().toISOString(),
        minutesAheadOfUtc: 0,
        commands: commands.slice(from, from + BATCH),
      }),
    });
    if (!answer.ok) throw new CannotGoOn(`The sync answered ${answer.status}.`);
    const { results } = (await answer.json()) as { results: { done: boolean }[] };
    if (results.some((result) => !result.done)) throw new CannotGoOn('The server refused reps of the bench.');
  }
  return { reps: QUEUED, seconds: (performance.now() - started) / 1000 };
}

/**
 * Milliseconds of laying out the largest session: six pilots, ten blocks each, twelve packs. Here, not
 * slowed.
 */
export function measureLayout(): { readonly median: number; readonly most: number } {
  let state = 12_345;
  const random = () => {
    state = (state * 16_807) % 2_147_483_647;
    return state / 2_147_483_647;
  };
  const flown = DRILLS.filter((drill) => drill.kind === 'flown');
  const times = Array.from({ length: 15 }, () => {
    const blocks = Array.from({ length: 60 }, (_, i): Block => ({
      id: `b${i}`,
      pilotId: `p${i % 6}`,
      weaknessId: 'w',
      causeId: 'overcontrol',
      drillId: flown[Math.floor(random() * flown.length)]!.id,
      side: null,
      purpose: random() < 0.1 ? 'check' : random() < 0.4 ? 'test' : 'practice',
      level: 0,
      reps: 6,
      minutes: 2 + Math.floor(random() * 4),
      gain: random(),
      isNew: random() < 0.2,
      after: [],
      apartFrom: null,
    }));
    const started = performance.now();
    layOut(blocks, { packs: 12, packMinutes: 8, minutes: 150 });
    return performance.now() - started;
  });
  return { median: median(times), most: Math.max(...times) };
}
