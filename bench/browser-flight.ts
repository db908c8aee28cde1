import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { inBrowser } from './in-browser';

const SLOWED = 4;
const LINES = 1_000_000;
const LOOKS_MS = 6_000;

interface LongFlight {
  /** From picking the file to its picture, s, not slowed. */
  readonly drawnS: number;
  /** The page's own script a frame while it plays at eight times, slowed, ms. */
  readonly script: { readonly median: number; readonly most: number; readonly frames: number };
}

/** A flight of a million lines, 200 a second: circles that widen. */
function longFlight(): string {
  const lines = ['time s,east m,north m,height m'];
  for (let i = 0; i < LINES; i += 1) {
    const t = i / 200;
    const r = 5 + t / 200;
    lines.push(
      `${t.toFixed(3)},${(r * Math.sin(t / 5)).toFixed(2)},${(r * Math.cos(t / 5)).toFixed(2)},${(4 + Math.sin(t / 60)).toFixed(2)}`,
    );
  }
  const name = path.join(mkdtempSync(path.join(tmpdir(), 'skelby-flight-')), 'long.csv');
  writeFileSync(name, lines.join('\n'));
  return name;
}

/**
 * Brings a flight of a million lines in and plays it at eight times, slowed. The script of a frame is what runs between its
 * start and its end outside of drawing, from the browser's own trace of long tasks and callbacks.
 */
export function measureLongFlight(base: string, executablePath: string): Promise<LongFlight> {
  const file = longFlight();
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    await page.goto(`${base}/flights/file`);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Pick a file' }).click();
    const began = performance.now();
    await (await chooser).setFiles(file);
    await page.getByText(/Places ±/).waitFor({ timeout: 180_000 });
    const drawnS = (performance.now() - began) / 1000;
    const cdp = await context.newCDPSession(page);
    await cdp.send('Performance.enable');
    const scriptS = async (): Promise<number> => {
      const { metrics } = (await cdp.send('Performance.getMetrics')) as {
        metrics: { name: string; value: number }[];
      };
      return metrics.find(({ name }) => name === 'ScriptDuration')!.value;
    };
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.getByRole('radio', { name: '×8' }).click();
    await page.getByRole('button', { name: 'Play' }).click();
    // As text: what the loader adds to functions is not there in the page.
    await page.evaluate(
      '(() => { window.benchFrames = 0; const count = () => { window.benchFrames += 1; requestAnimationFrame(count); }; count(); })()',
    );
    const frames = () => page.evaluate<number>('window.benchFrames');
    const each: number[] = [];
    let [lastScript, lastFrames] = [await scriptS(), await frames()];
    const end = performance.now() + LOOKS_MS;
    while (performance.now() < end) {
      await page.waitForTimeout(500);
      const [script, count] = [await scriptS(), await frames()];
      if (count > lastFrames) each.push((1000 * (script - lastScript)) / (count - lastFrames));
      [lastScript, lastFrames] = [script, count];
    }
    each.sort((a, b) => a - b);
    return {
      drawnS,
      script: { median: each[each.length >> 1]!, most: each.at(-1)!, frames: lastFrames },
    };
  }).finally(() => rmSync(path.dirname(file), { recursive: true }));
}

/** In words, a line each: what, and the figure. */
export const sayLongFlight = ({ drawnS, script }: LongFlight): readonly (readonly [string, string])[] => [
  ['A recorded flight of a million lines, in the page', ''],
  ['  picked to drawn, with what happened in it', `${drawnS.toFixed(1)} s`],
  [
    '  its own script a frame, played at eight times, processor slowed 4× (aim: at most 33 ms)',
    `median ${script.median.toFixed(1)} ms, most ${script.most.toFixed(1)} of ${script.frames} frames`,
  ],
];
