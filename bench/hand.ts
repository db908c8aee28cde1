import { addressesWithHelp, glossary, helpOf } from '@skelby/copy/help';
import type { BrowserContext, CDPSession, Page } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { inBrowser } from './in-browser';

/** What a hand, a keyboard, a small screen and a printer meet. */

const HAND_MS = 400;

interface Logged {
  readonly taps: number;
  readonly seconds: number;
}

/** From Today to a saved near-miss, as fast as a hand that knows what it wants: two taps a second at most. */
async function logged(page: Page, base: string): Promise<Logged> {
  await page.goto(base);
  const button = (name: RegExp) => page.getByRole('button', { name }).first();
  const taps = [
    page.getByRole('link', { name: 'Log a crash or near-miss' }),
    button(/^Davit Orrel/),
    button(/^Near-miss$/),
    button(/^Stick handling/),
    button(/^Over-control/),
    button(/^Save$/),
  ];
  await taps[0]!.waitFor();
  const began = performance.now();
  for (const tap of taps) {
    await page.waitForTimeout(HAND_MS);
    await tap.click();
  }
  await button(/^Confirm: /).waitFor();
  return { taps: taps.length, seconds: (performance.now() - began) / 1000 };
}

/** The same by keys alone. @returns presses of Tab and Enter */
async function loggedByKeys(page: Page, base: string): Promise<number> {
  await page.goto(base);
  await page.getByRole('link', { name: 'Log a crash or near-miss' }).waitFor();
  let presses = 0;
  for (const name of [
    /^Log a crash or near-miss$/,
    /^Davit Orrel/,
    /^Near-miss$/,
    /^Stick handling/,
    /^Over-control/,
    /^Save$/,
  ]) {
    await page.getByRole('button', { name }).or(page.getByRole('link', { name })).first().waitFor();
    for (let tabs = 0; tabs < 200; tabs += 1) {
      const label = await page.evaluate(() => {
        const { activeElement: on } = document;
        return on?.getAttribute('aria-label') ?? on?.textContent?.replace(/[^\x20-\x7e]/g, '').trim() ?? '';
      });
      if (name.test(label)) break;
      await page.keyboard.press('Tab');
      presses += 1;
    }
    await page.keyboard.press('Enter');
    presses += 1;
  }
  await page
    .getByRole('button', { name: /^Confirm: / })
    .first()
    .waitFor();
  return presses;
}

interface Drawn {
  readonly nodes: number;
  readonly scriptMs: number;
}

const SIZES = [10, 300, 2_000] as const;

/** A made-up list of so many, as the server would send it. */
const LISTS: Readonly<Record<string, { address: string; api: string; list: (size: number) => unknown }>> = {
  Today: {
    address: '/',
    api: '**/api/today',
    list: (size) => ({
      toDebrief: [],
      toDebriefLeft: { mine: 0, all: 0 },
      weaknesses: Array.from({ length: size }, (_, i) => ({
        ...{
          id: uuid(),
          pilotId: uuid(),
          pilotName: `Sample ${i}`,
          causeId: 'overcontrol',
          state: 'drilling',
        },
        ...{ checkFrom: null, checkPassed: false, limited: false, rungs: [0.5, 0, 0, 0, 0] },
        openedAt: '2026-05-01T10:00:00.000Z',
      })),
    }),
  },
  Pilots: {
    address: '/pilots',
    api: '**/api/roster',
    list: (size) => ({
      pilots: Array.from({ length: size }, (_, i) => ({
        ...{ id: uuid(), name: `Sample ${i}`, stickLayout: 2, mode: 'position-hold', windLimitMps: 4 },
        ...{ note: '', track: 'leisure', revision: 1, lastCraftId: null, lastSiteId: null },
        ...{ lastWindMps: null, lastFlownOn: null },
      })),
      ...{ craft: [], sites: [], reporting: [], trainers: [] },
    }),
  },
  Flights: {
    address: '/flights',
    api: '**/api/flights',
    list: (size) =>
      Array.from({ length: size }, (_, i) => ({
        ...{ id: uuid(), pilotId: uuid(), pilotName: `Sample ${i}`, craftId: uuid(), siteId: uuid() },
        ...{ day: '2026-05-01', packs: 2, minutes: 14, windMps: 3, revision: 1 },
      })),
  },
};

const metric = async (devtools: CDPSession, name: string): Promise<number> => {
  const { metrics } = (await devtools.send('Performance.getMetrics')) as {
    metrics: { name: string; value: number }[];
  };
  return metrics.find((each) => each.name === name)?.value ?? 0;
};

/** Nodes in the document and time in scripts until a list of a size has been drawn. */
async function drawn(context: BrowserContext, base: string, name: string, size: number): Promise<Drawn> {
  const { address, api, list } = LISTS[name]!;
  const page = await context.newPage();
  // What was fetched ahead would stand in its place.
  await page.route('**/api/carry*', (route) => route.abort());
  await page.route(api, (route) => route.fulfill({ json: list(size) as object }));
  const devtools = await context.newCDPSession(page);
  await devtools.send('Performance.enable');
  await page.goto(base + address);
  await page.getByText('Sample 0', { exact: false }).first().waitFor();
  await page.waitForTimeout(500);
  const figures = {
    nodes: await page.evaluate(() => document.querySelectorAll('*').length),
    scriptMs: (await metric(devtools, 'ScriptDuration')) * 1000,
  };
  await page.close();
  return figures;
}

/** How long Log takes to open from another page once Today was there with so many open weaknesses, ms to the first question. */
async function logOpens(context: BrowserContext, base: string, from: string): Promise<number> {
  const page = await context.newPage();
  await page.route('**/api/carry*', (route) => route.abort());
  await page.route(LISTS['Today']!.api, (route) =>
    route.fulfill({ json: LISTS['Today']!.list(SIZES[2]) as object }),
  );
  await page.goto(base + from);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.getByRole('link', { name: 'Today' }).click();
  const log = page.getByRole('link', { name: 'Log a crash or near-miss' });
  await log.waitFor();
  await page.waitForTimeout(1_000);
  const began = performance.now();
  await log.click();
  await page.getByRole('heading', { name: 'Who was flying?' }).waitFor();
  const ms = performance.now() - began;
  await page.close();
  return ms;
}

const HEIGHTS = [
  [320, 256],
  [640, 400],
  [844, 390],
  [390, 844],
] as const;

/** Of a screen's height what the page has for itself when its foot and bar stand still, px. */
async function heightLeft(
  page: Page,
  base: string,
  [width, height]: readonly [number, number],
): Promise<number> {
  await page.setViewportSize({ width, height });
  await page.goto(base);
  await page.getByRole('heading', { level: 1 }).waitFor();
  return page.evaluate(() => {
    const still = ['#skelby-foot', '[role="navigation"]'].map((which) => {
      const box = document.querySelector(which)?.getBoundingClientRect();
      return document.scrollingElement!.scrollHeight > window.innerHeight ? 0 : (box?.height ?? 0);
    });
    return window.innerHeight - still.reduce((sum, each) => sum + each, 0);
  });
}

const PAPER = {
  sum: '/sums?sum=stop',
  drill: '/drills/tail-in-hover',
  flights: '/flights',
  more: '/kit',
} as const;

async function pagesOf(page: Page, address: string): Promise<number> {
  await page.goto(address);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(1_500);
  return ((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length;
}

/** Words of ours that no screen explains. */
function unexplained(): number {
  const explained = new Set(
    addressesWithHelp().flatMap((address) => helpOf(address).terms.map(({ id }) => id)),
  );
  return glossary().filter(({ id }) => !explained.has(id)).length;
}

interface HandFigures {
  readonly log: Logged;
  readonly presses: number;
  readonly lists: readonly (Drawn & { readonly list: string; readonly size: number })[];
  /** From where, and to the first question, ms. */
  readonly opens: readonly (readonly [from: string, ms: number])[];
  readonly heights: readonly (readonly [size: string, left: number])[];
  readonly paper: readonly (readonly [what: string, pages: number])[];
  readonly unexplained: number;
}

export function measureHand(base: string, executablePath: string): Promise<HandFigures> {
  return inBrowser(base, executablePath, async (context) => {
    const page = await context.newPage();
    const log = await logged(page, base);
    const presses = await loggedByKeys(page, base);
    const heights: [string, number][] = [];
    for (const size of HEIGHTS) heights.push([size.join('×'), await heightLeft(page, base, size)]);
    await page.setViewportSize({ width: 1280, height: 800 });
    const paper: [string, number][] = [];
    for (const [what, address] of Object.entries(PAPER))
      paper.push([what, await pagesOf(page, base + address)]);
    const lists: (Drawn & { list: string; size: number })[] = [];
    for (const list of Object.keys(LISTS))
      for (const size of SIZES) lists.push({ list, size, ...(await drawn(context, base, list, size)) });
    const opens: [string, number][] = [];
    for (const from of ['/', '/kit', '/pilots']) opens.push([from, await logOpens(context, base, from)]);
    return { log, presses, opens, lists, heights, paper, unexplained: unexplained() };
  });
}

/** The same in words, a line each: what, and the figure. */
export const sayHand = (hand: HandFigures): readonly (readonly [what: string, figure: string])[] => [
  ['At hand', ''],
  [
    '  a near-miss logged, from Today to its page',
    `${hand.log.taps} taps, ${hand.log.seconds.toFixed(1)} s at a tap every ${HAND_MS / 1000} s`,
  ],
  ['  the same by keys alone', `${hand.presses} presses`],
  ...hand.lists.map(
    ({ list, size, nodes, scriptMs }) =>
      [`  ${list} of ${size}: nodes, script`, `${nodes}, ${scriptMs.toFixed(0)} ms`] as const,
  ),
  ...hand.opens.map(
    ([from, ms]) =>
      [`  Log opened on Today of ${SIZES[2]}, come from ${from}`, `${ms.toFixed(0)} ms`] as const,
  ),
  ...hand.heights.map(
    ([size, left]) => [`  height left to the page at ${size}`, `${Math.round(left)} px`] as const,
  ),
  ...hand.paper.map(([what, pages]) => [`  pages of paper: ${what}`, String(pages)] as const),
  ['  words of ours that no screen explains (aim: 0)', String(hand.unexplained)],
];
