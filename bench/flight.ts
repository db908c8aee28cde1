import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { CENTRED, type ModeNow } from '@skelby/core/simulator/control/control';
import { craftModel } from '@skelby/core/simulator/craft-model';
import { SimulatedFlight, PHYSICS_STEP_S } from '@skelby/core/simulator/simulated-flight';
import type { Page } from '@playwright/test';
import { inBrowser } from './in-browser';

const SECONDS = 60;
const WARM_S = 5;
const SLOWED = 4;
const FRAME_S = 1 / 60;

/** How many times faster than the clock a craft flies headless, controllers, gusts, wake and all. */
export function measureHeadless(): number {
  const flight = new SimulatedFlight(
    craftModel(craftFacts(USUAL_CRAFT)),
    { solids: [], wind: { speedMps: 5, fromDeg: 0, gusts: 1, jets: [] } },
    { x: 0, y: 0, z: 30, headingDeg: 0 },
    1,
  );
  const mode: ModeNow = { mode: 'position-hold', setting: 'normal', pilotHeadingDeg: null, hold: true };
  const fly = (seconds: number) => {
    for (let i = 0; i < seconds / PHYSICS_STEP_S; i += 1)
      flight.step({ ...CENTRED, pitch: 0.3 * Math.sin(flight.timeS) }, mode);
  };
  fly(WARM_S);
  const started = performance.now();
  fly(SECONDS);
  return SECONDS / ((performance.now() - started) / 1000);
}

interface Spread {
  readonly median: number;
  readonly p95: number;
}
const spread = (values: readonly number[]): Spread => {
  const sorted = [...values].sort((a, b) => a - b);
  return { median: sorted[Math.floor(sorted.length / 2)]!, p95: sorted[Math.floor(sorted.length * 0.95)]! };
};

/** From reading the sticks to the new pose, ms, over five seconds in steady flight. */
async function stickToPose(page: Page): Promise<Spread> {
  await page.getByRole('button', { name: 'Start' }).click();
  await page.waitForTimeout(2_000);
  await page.evaluate(() => performance.clearMeasures());
  await page.waitForTimeout(5_000);
  return spread(
    await page.evaluate(() =>
      performance.getEntriesByName('skelby.stick-to-pose').map((entry) => entry.duration),
    ),
  );
}

export interface PracticeFigures {
  /** From the tap to the first figures under the field, processor not slowed, ms. */
  readonly startMs: number;
  /** The page's own script work a frame, processor slowed 4×, ms. */
  readonly frame: Spread;
  /**
   * Physics in its worker for each 16.7 ms flown, not slowed, ms. A frame that took the page longer flies
   * more.
   */
  readonly physics: Spread;
  /** From reading the sticks to the new pose drawn, processor not slowed, ms. */
  readonly toPose: Spread;
  /**
   * The same with the picture left out: where it is drawn in software, drawing takes the cores from
   * everything else.
   */
  readonly toPoseUndrawn: Spread;
  readonly calls: number;
  readonly triangles: number;
}

export function measurePractice(base: string, executablePath: string): Promise<PracticeFigures> {
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    await page.goto(`${base}/drills/circle-both-ways`);
    const link = page.getByRole('link', { name: 'Practise it here' });
    await link.waitFor();
    const started = performance.now();
    await link.click();
    await page.getByText(/m away$/).waitFor();
    const startMs = performance.now() - started;
    const toPose = await stickToPose(page);
    await (await context.newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.evaluate(() => performance.clearMeasures());
    await page.keyboard.down('ArrowUp');
    await page.waitForTimeout(5_000);
    const frames = await page.evaluate(() =>
      performance.getEntriesByName('skelby.practice').map((entry) => ({
        ms: entry.duration,
        ...((entry as PerformanceMeasure).detail as {
          workMs: number;
          timeS: number;
          calls: number;
          triangles: number;
        }),
      })),
    );
    const last = frames.at(-1)!;
    const physics = frames.flatMap((frame, i) => {
      const flownS = frame.timeS - (frames[i - 1]?.timeS ?? frame.timeS);
      return flownS > 0 ? [(frame.workMs * FRAME_S) / flownS] : [];
    });
    const undrawn = await context.newPage();
    await undrawn.addInitScript(
      'for (const draw of ["drawElements", "drawArrays"]) WebGL2RenderingContext.prototype[draw] = () => {};',
    );
    await undrawn.goto(`${base}/drills/circle-both-ways/practice`);
    await undrawn.getByText(/m away$/).waitFor();
    const toPoseUndrawn = await stickToPose(undrawn);
    return {
      startMs,
      toPose,
      toPoseUndrawn,
      frame: spread(frames.map((each) => each.ms)),
      physics: spread(physics),
      calls: last.calls,
      triangles: last.triangles,
    };
  });
}
