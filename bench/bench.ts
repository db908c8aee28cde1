import { rmSync } from 'node:fs';
import { loadDemo } from '../server/src/demo/load';
import { buildApp } from '../tools/build-app';
import { freePort, startCluster } from '../tools/cluster';
import { ensureDatabase, withDatabase } from '../tools/database';
import { needChromium } from '../tools/needs';
import { throwawayFolder } from '../tools/places';
import { CannotGoOn, say } from '../tools/say';
import { startServer } from '../tools/server-process';
import { measureApi } from './api';
import { measureBrowserRanking } from './browser-ranking';
import { sayClearing } from './clearing';
import { measureExchange } from './exchange';
import { measureLongFlight, sayLongFlight } from './browser-flight';
import { measureField, measureLayout, measureSync } from './field';
import { measureFirstLoad } from './first-load';
import { measureHeadless, measurePractice } from './flight';
import { measureConfusion, measureLogScoring, measurePilots } from './pilots';
import { sayShare } from './accuracy';
import { measureAccuracy } from './ranking';
import { sayManySchools } from './many-schools';
import { measureMix, sayMix } from './mix';
import { sayFlights } from './flights';
import { sayInsights } from './insights';
import { measureHand, sayHand } from './hand';
import { sayHundredfold } from './hundredfold';
import { saySearch } from './search';
import { sayRepCost } from './rep-cost';
import { startTime } from './start-time';
import { sayTrust } from './trust';
import { flyWhole } from './whole';
import { sayWhy } from './why';

const row = (what: string, figure: string) => say(`${what.padEnd(68)}${figure}`);
/** A heading, and a line for each figure under it. */
function rows([heading, ...figures]: readonly (readonly [what: string, figure: string])[]): void {
  say(`\n${heading?.[0] ?? ''}`);
  for (const [what, figure] of figures) row(what, figure);
}
const ms = (value: number) => `${value.toFixed(0)} ms`;

/**
 * Milliseconds of a fixed amount of whole-number arithmetic: figures of two runs compare only as far as these
 * do.
 */
function machineSpeed(): number {
  const started = performance.now();
  let sum = 0;
  for (let i = 0; i < 200_000_000; i += 1) sum = (sum * 31 + i) | 0;
  if (!Number.isInteger(sum)) throw new CannotGoOn('Whole numbers are not whole here.');
  return performance.now() - started;
}

/** How good the ranking is on our own cases, and on the same with answers that say nothing thrown in. */
function sayAccuracy(): void {
  for (const [what, accuracy] of [
    ['as they stand', measureAccuracy()],
    ['with four usual answers thrown into each', measureAccuracy(4)],
  ] as const) {
    say(`\nRanking, our own cases, ${what} (aim: first 85 %, first three 95 %)`);
    row('  named first', sayShare(accuracy.first, accuracy.cases));
    row('  among the first three', sayShare(accuracy.firstThree, accuracy.cases));
    row('  Brier score over all causes (0 best, 2 worst)', accuracy.brier.toFixed(3));
    for (const bin of accuracy.reliability.filter((each) => each.cases > 0))
      row(
        `  said ${(bin.said * 100).toFixed(0)} % (${bin.from} to ${bin.to})`,
        `right in ${sayShare(bin.right, bin.cases)}`,
      );
  }
}

interface Running {
  readonly base: string;
  readonly pid: number;
  readonly chromium: string;
}

/** Parts that need the running app, in the order they are measured. */
const WITH_THE_APP: Readonly<Record<string, (running: Running) => Promise<void>>> = {
  async 'first-load'({ base, chromium }) {
    const load = await measureFirstLoad(base, chromium);
    say('\nFirst load of Today (aim: at most 350 kB of script, gzipped)');
    row(
      '  script run until Today is usable, gzipped',
      `${(load.scriptGzipped / 1000).toFixed(0)} kB in ${load.scripts} files`,
    );
    row('  the same as sent (brotli)', `${(load.scriptSent / 1000).toFixed(0)} kB`);
    row(
      '  asked for to Today drawn, processor slowed 4×, empty cache',
      `median ${ms(load.slowedCold)} of ${load.runs}`,
    );
    row('  the same with a warm cache', `median ${ms(load.slowedWarm)} of ${load.runs}`);
  },
  async page({ base, chromium }) {
    const ranked = await measureBrowserRanking(base, chromium);
    say("\nRanking with every open question's gain, in its worker, times 4 by hand for a phone");
    row(
      '  one ranking with its gains and reasons (aim: at most 50 ms)',
      `median ${ranked[Math.floor(ranked.length / 2)]!.toFixed(1)} ms, most ${ranked.at(-1)!.toFixed(1)} ms of ${ranked.length}`,
    );
  },
  'long-flight': async ({ base, chromium }) => rows(sayLongFlight(await measureLongFlight(base, chromium))),
  async field({ base, chromium }) {
    const field = await measureField(base, chromium);
    say('\nIn the field, processor slowed 4×');
    row('  opened without signal after one visit (aim: under 2 s)', `median ${ms(field.offlineStart)}`);
    row(
      '  tap on Met to drawn (aim: under 100 ms)',
      `median ${ms(field.tap.median)}, most ${ms(field.tap.most)}`,
    );
    row(
      '  a frame of the drill library, own work (aim: under 4 ms)',
      `median ${field.frame.median.toFixed(1)} ms, p95 ${field.frame.p95.toFixed(1)} ms of ${field.frame.frames}`,
    );
    const layout = measureLayout();
    row(
      '  a session of 6 pilots, 60 blocks, 12 packs, not slowed: a worker escapes the slowing',
      `median ${ms(layout.median)}, most ${ms(layout.most)} (times 4 by hand: ${ms(layout.median * 4)}; aim: 300)`,
    );
    const sync = await measureSync(base);
    row(`  ${sync.reps} queued reps taken by the server (aim: under 10 s)`, `${sync.seconds.toFixed(1)} s`);
  },
  async practice({ base, chromium }) {
    say('\nPractice');
    row(
      '  headless, 500 steps a second, gusts and wake and all (aim: 200 times the clock)',
      `${measureHeadless().toFixed(0)} times the clock`,
    );
    const practice = await measurePractice(base, chromium);
    row('  from the tap to the first figures (aim: under 3 s)', ms(practice.startMs));
    row(
      '  a frame, own script work, processor slowed 4× (aim: under 6 ms)',
      `median ${practice.frame.median.toFixed(1)} ms, p95 ${practice.frame.p95.toFixed(1)} ms`,
    );
    row(
      '  physics for each 16.7 ms flown, in its worker, not slowed (aim: under 2 ms, also times 4)',
      `median ${practice.physics.median.toFixed(2)} ms, p95 ${practice.physics.p95.toFixed(2)} ms (times 4 by hand: ${(practice.physics.median * 4).toFixed(1)} and ${(practice.physics.p95 * 4).toFixed(1)})`,
    );
    row(
      '  stick to new pose, not slowed (aim: a frame and a step, 18.7 ms)',
      `median ${practice.toPose.median.toFixed(1)} ms, p95 ${practice.toPose.p95.toFixed(1)} ms; with the picture left out ${practice.toPoseUndrawn.median.toFixed(1)} and ${practice.toPoseUndrawn.p95.toFixed(1)}`,
    );
    row('  drawn a frame', `${practice.calls} calls, ${practice.triangles} triangles`);
  },
  async api({ base }) {
    say('\nAPI on the demo school, 50 requests a second for 10 s');
    for (const api of await measureApi(base))
      row(
        `  ${api.what}`,
        `p50 ${ms(api.p50)}   p95 ${ms(api.p95)}   p99 ${ms(api.p99)}   (${api.answered} answered, ${api.failed} failed)`,
      );
  },
  hand: async ({ base, chromium }) => rows(sayHand(await measureHand(base, chromium))),
  mix: async ({ base, pid }) => rows(sayMix(await measureMix(base, pid))),
  async exchange({ base, pid }) {
    const exchange = await measureExchange(base, pid);
    say(`\nOccurrences as a file: ${exchange.rows} rows, ${exchange.fileMb.toFixed(1)} MB`);
    row('  checked without saving', `${exchange.checkSeconds.toFixed(1)} s`);
    row('  brought in (aim: under 10 s)', `${exchange.saveSeconds.toFixed(1)} s`);
    row('  written out', `${exchange.exportSeconds.toFixed(1)} s`);
    row(
      '  memory of the server before, and at most',
      `${exchange.beforeMb.toFixed(0)} MB, ${exchange.mostMb.toFixed(0)} MB`,
    );
  },
};

const REPS_EACH = 10;
const REPS_OF_OTHERS = 1;
const CRASHES_EACH = 8;

/** Synthetic pilots: what they meet and miss, and what is made of their crashes. */
function sayPilots(): void {
  say('\nSynthetic pilots');
  const { steady, habits } = measurePilots(REPS_EACH, REPS_OF_OTHERS);
  const sum = (of: readonly number[]) => of.reduce((all, each) => all + each, 0);
  row(
    '  steady hands, all drills (aim: 90 % met)',
    sayShare(sum(steady.map((each) => each.met)), sum(steady.map((each) => each.of))),
  );
  row(
    '  the drills that steady hands meet least',
    steady
      .slice(0, 3)
      .map((each) => `${each.id} ${each.met}/${each.of}`)
      .join(', '),
  );
  say('  each habit: its own drills missed (aim: 70 %), unrelated ones met');
  for (const { habit, missedOwn, ofOwn, metOthers, ofOthers } of habits)
    row(
      `    ${habit}`,
      `${missedOwn}/${ofOwn}, ${ofOthers > 0 ? `${metOthers}/${ofOthers}` : 'touches all'}`,
    );
  const { table, right, all } = measureConfusion(CRASHES_EACH);
  row('  causes read from crashes, the planted one named first (aim: 85 %)', sayShare(right, all));
  for (const [planted, named] of table)
    row(
      `    ${planted}`,
      [...named]
        .sort((a, b) => b[1] - a[1])
        .map(([id, count]) => `${id === planted ? 'itself' : id} ${count}`)
        .join(', '),
    );
  const log = measureLogScoring();
  row(`  ${log.lines} lines of a flight log scored, ${log.reps} reps in it (aim: under 1 s)`, ms(log.ms));
}

/** Parts that need nothing else running. */
const ALONE: Readonly<Record<string, () => Promise<void>>> = {
  ranking: async () => sayAccuracy(),
  pilots: async () => sayPilots(),
  async clearing() {
    say(`\nWhat clearing promises\n${sayClearing()}`);
  },
  async why() {
    say(`\n${sayWhy()}`);
  },
  flights: async () => rows(sayFlights()),
  insights: async () => rows(await sayInsights()),
  search: async () => rows(await saySearch()),
  async server() {
    say(`\nWhat one rep costs\n\n${await sayRepCost()}`);
    say(`\nWhat a hundred times the records cost\n\n${await sayHundredfold()}`);
  },
  async trust() {
    say(`\n${sayTrust(process.env['TRUST'])}`);
  },
  async start() {
    await buildApp();
    const starts = throwawayFolder();
    try {
      say('\nStart of ./skelby demo (packages installed, app built)');
      row('  cold: new database, demo school loaded', `${(await startTime(starts)).toFixed(1)} s`);
      row('  warm: second start (aim: under 8 s)', `${(await startTime(starts)).toFixed(1)} s`);
    } finally {
      rmSync(starts, { recursive: true, force: true });
    }
  },
  whole: flyWhole,
  load: sayManySchools,
};

/** Runs something against the app on a new database with the demo school. */
async function withTheApp(work: (running: Running) => Promise<void>): Promise<void> {
  const chromium = await needChromium();
  await buildApp();
  const folder = throwawayFolder();
  const cluster = await startCluster(folder);
  try {
    await ensureDatabase(cluster.url, 'bench');
    await withDatabase(cluster.url('bench'), (db) => loadDemo(db, new Date()));
    const server = await startServer(cluster.appUrl('bench'), await freePort());
    try {
      await work({ base: `http://127.0.0.1:${server.port}`, pid: server.pid, chromium });
    } finally {
      await server.stop();
    }
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Parts that take long, and run when they are named. */
const ONCE = new Set(['load', 'mix']);

/**
 * Prints the figures that the project keeps an eye on. They are measured, never asserted.
 * @param parts names of those wanted; none: all
 */
export async function bench(parts: readonly string[]): Promise<number> {
  const known = [...Object.keys(ALONE), ...Object.keys(WITH_THE_APP)];
  const unknown = parts.find((part) => !known.includes(part));
  if (unknown !== undefined)
    throw new CannotGoOn(`There is no part "${unknown}" of the bench. There are: ${known.join(', ')}.`);
  const wanted = (name: string) => parts.includes(name) || (parts.length === 0 && !ONCE.has(name));
  row('This machine now: 200 million multiplications and additions', ms(machineSpeed()));
  for (const [name, measure] of Object.entries(ALONE)) if (wanted(name)) await measure();
  const running = Object.entries(WITH_THE_APP).filter(([name]) => wanted(name));
  if (running.length > 0)
    await withTheApp(async (app) => {
      for (const [, measure] of running) await measure(app);
    });
  return 0;
}
