import { gzipSync } from 'node:zlib';
import { inBrowser, NOTE_WHEN_USABLE, untilUsable } from './in-browser';

const RUNS = 5;
const SLOWED = 4;

export interface FirstLoad {
  readonly scripts: number;
  /** Bytes. */
  readonly scriptGzipped: number;
  readonly scriptSent: number;
  /** Milliseconds, medians. */
  readonly slowedCold: number;
  readonly slowedWarm: number;
  readonly runs: number;
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

export function measureFirstLoad(base: string, executablePath: string): Promise<FirstLoad> {
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    await page.addInitScript(NOTE_WHEN_USABLE);
    const scripts = new Map<string, { gzipped: number; sent: number }>();
    const reading: Promise<void>[] = [];
    page.on('response', (response) => {
      if (response.request().resourceType() !== 'script') return;
      reading.push(
        (async () => {
          const [body, sizes] = [await response.body(), await response.request().sizes()];
          scripts.set(response.url(), {
            gzipped: gzipSync(body, { level: 9 }).length,
            sent: sizes.responseBodySize,
          });
        })(),
      );
    });
    await untilUsable(page, base);
    await Promise.all(reading);
    page.removeAllListeners('response');
    const devtools = await context.newCDPSession(page);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const warm: number[] = [];
    const cold: number[] = [];
    for (let i = 0; i < RUNS; i += 1) {
      await devtools.send('Network.clearBrowserCache');
      cold.push(await untilUsable(page, base));
      warm.push(await untilUsable(page, base));
    }
    const all = [...scripts.values()];
    return {
      scripts: all.length,
      scriptGzipped: all.reduce((sum, each) => sum + each.gzipped, 0),
      scriptSent: all.reduce((sum, each) => sum + each.sent, 0),
      slowedCold: median(cold),
      slowedWarm: median(warm),
      runs: RUNS,
    };
  });
}
