import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { loadDemo } from '../server/src/demo/load';
import { buildApp } from './build-app';
import { type Cluster, freePort, startCluster } from './cluster';
import { ensureDatabase, withDatabase } from './database';
import { needChromium } from './needs';
import { FIRST_LOAD_AT_MOST, firstLoadBytes } from './first-load';
import { packageProblems } from './packages';
import { bin, ROOT, throwawayFolder } from './places';
import { run } from './run';
import { CannotGoOn, say } from './say';
import { startServer } from './server-process';

interface Tally {
  readonly passed: number;
  readonly failed: number;
  /** Passed only at their second try. */
  readonly flaky: number;
}

/** So many tests that pass only at their second try fail the run. */
const TOO_FLAKY = 3;

const SOURCES = ['core/src', 'copy/src', 'server/src', 'app/src', 'tools', 'bench', 'e2e'] as const;

/** A check that is one thing: it passes or it does not. */
async function one(name: string, program: string, args: readonly string[]): Promise<Tally> {
  const { code, output } = await run(program, args, { cwd: ROOT });
  say(`\n── ${name}\n${code === 0 ? 'clean' : output.trim()}`);
  return code === 0 ? passed(1) : failed(1);
}

/** Says how long a part took, since the whole has a limit. */
async function timed<T>(name: string, part: () => Promise<T>): Promise<T> {
  const began = performance.now();
  try {
    return await part();
  } finally {
    say(`\n── ${name} took ${Math.round((performance.now() - began) / 1000)} s`);
  }
}

const passed = (count: number): Tally => ({ passed: count, failed: 0, flaky: 0 });
const failed = (count: number): Tally => ({ passed: 0, failed: count, flaky: 0 });

/** Types, shape, rules, layers, what nothing uses, secrets, and what comes from elsewhere. */
async function statics(): Promise<readonly Tally[]> {
  // Each of them runs on one core: two lines of them, where there are two.
  const types = async () => {
    const tallies: Tally[] = [];
    for (const part of ['core', 'copy', 'server', 'app', 'tools'])
      tallies.push(await one(`types: ${part}`, bin('tsc'), ['-p', part]));
    return tallies;
  };
  const shape = async () => [
    await one('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
    await one('lint', bin('eslint'), ['.', '--max-warnings', '0']),
    await one('layers and circles', bin('depcruise'), [...SOURCES]),
    await one('unused files, exports and packages', bin('knip'), ['--no-progress']),
    await one('secrets', bin('secretlint'), ['--maskSecrets', '**/*']),
  ];
  const tallies = (await Promise.all([types(), shape()])).flat();
  say('\n── packages: pinned, locked, licensed');
  const problems = packageProblems();
  say(problems.length === 0 ? 'clean' : problems.join('\n'));
  return [...tallies, problems.length === 0 ? passed(1) : failed(1)];
}

/** What the first page loads is held. */
function firstLoad(): Tally {
  const bytes = firstLoadBytes();
  const isHeld = bytes <= FIRST_LOAD_AT_MOST;
  say(`\n── first page: ${bytes} bytes of script gzipped, at most ${FIRST_LOAD_AT_MOST}`);
  return isHeld ? passed(1) : failed(1);
}

/** What a runner wrote about itself; a runner that died before writing counts as one failure. */
function tallyIn(file: string, read: (report: never) => Tally): Tally {
  if (!existsSync(file)) return failed(1);
  return read(JSON.parse(readFileSync(file, 'utf8')) as never);
}

interface JestReport {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numRuntimeErrorTestSuites: number;
}

async function unit(cluster: Cluster, reports: string, only: readonly string[]): Promise<Tally> {
  say('\n── unit and server tests');
  const file = path.join(reports, 'jest.json');
  await run(bin('jest'), ['--json', `--outputFile=${file}`, ...only], {
    cwd: ROOT,
    show: true,
    env: { TEST_CLUSTER_URL: cluster.url('postgres'), TEST_CLUSTER_APP_URL: cluster.appUrl('postgres') },
  });
  return tallyIn(file, (report: JestReport) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    flaky: 0,
  }));
}

interface PlaywrightSuite {
  readonly specs?: readonly {
    readonly title: string;
    readonly tests: readonly { readonly status: string }[];
  }[];
  readonly suites?: readonly PlaywrightSuite[];
}

interface PlaywrightReport extends PlaywrightSuite {
  readonly stats: { readonly expected: number; readonly unexpected: number; readonly flaky: number };
}

/** Tests that passed only at their second try. */
const flakyIn = ({ specs = [], suites = [] }: PlaywrightSuite): readonly string[] => [
  ...specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky')).map(({ title }) => title),
  ...suites.flatMap(flakyIn),
];

function tallyOfBrowser(report: PlaywrightReport): Tally {
  for (const title of flakyIn(report)) say(`flaky, passed at its second try: ${title}`);
  const { expected, unexpected, flaky } = report.stats;
  return { passed: expected, failed: unexpected, flaky };
}

interface ListedSuite {
  readonly file: string;
  readonly specs?: readonly { readonly line: number }[];
  readonly suites?: readonly ListedSuite[];
}

const placesOf = ({ file, specs = [], suites = [] }: ListedSuite): readonly string[] => [
  ...specs.map(({ line }) => `${file}:${line}`),
  ...suites.flatMap(placesOf),
];

/** Every so many days each browser test has its turn, and the first of a file sooner. */
const TURNS = 6;
const FIRST_TURNS = 2;

/**
 * The browser tests that are run today: the first of every second file, and those of the others whose turn it is by the day.
 * All of them with BROWSER_ALL, as `./skelby bench -- whole` does.
 * @returns arguments for the runner; none: all of them
 */
async function ofToday(config: string, reports: string): Promise<readonly string[]> {
  if (process.env['BROWSER_ALL']) return [];
  const file = path.join(reports, 'browser-tests.json');
  await run(bin('playwright'), ['test', '--config', config, '--list', '--reporter', 'json'], {
    cwd: ROOT,
    env: { BASE_URL: 'http://127.0.0.1', PLAYWRIGHT_JSON_OUTPUT_NAME: file },
  });
  const listed = JSON.parse(readFileSync(file, 'utf8')) as { readonly suites: readonly ListedSuite[] };
  const files = listed.suites.map((suite) => [...new Set(placesOf(suite))]);
  const day = Number(process.env['BROWSER_DAY'] ?? Math.floor(Date.now() / 86_400_000));
  // Tests made in a loop stand on one line and are taken together.
  const isDue = (file: number, i: number) =>
    i === 0 ? (file + day) % FIRST_TURNS === 0 : (i + day) % TURNS === 0;
  const picked = files.flatMap((places, file) => places.filter((_, i) => isDue(file, i)));
  say(
    `${picked.length} of ${files.flat().length} places have their turn today (BROWSER_DAY=${day}); all of them: BROWSER_ALL=1`,
  );
  return picked;
}

async function browser(cluster: Cluster, reports: string, only: readonly string[]): Promise<Tally> {
  say('\n── browser tests');
  await needChromium();
  await ensureDatabase(cluster.url, 'browser');
  await withDatabase(cluster.url('browser'), (db) => loadDemo(db, new Date()));
  const server = await startServer(cluster.appUrl('browser'), await freePort());
  const file = path.join(reports, 'playwright.json');
  const config = path.join(ROOT, 'e2e', 'playwright.config.ts');
  try {
    await run(
      bin('playwright'),
      ['test', '--config', config, ...(only.length > 0 ? only : await ofToday(config, reports))],
      {
        cwd: ROOT,
        show: true,
        env: { BASE_URL: `http://127.0.0.1:${server.port}`, PLAYWRIGHT_JSON_OUTPUT_NAME: file },
      },
    );
  } finally {
    await server.stop();
  }
  return tallyIn(file, tallyOfBrowser);
}

const PARTS = ['static', 'unit', 'browser'] as const;

/**
 * Everything that must hold before a change lands. The last line is the sum.
 * @param only one part instead of all; `rest` goes to its runner
 */
export async function test(only?: string, rest: readonly string[] = []): Promise<number> {
  if (only !== undefined && !(PARTS as readonly string[]).includes(only))
    throw new CannotGoOn(`--only takes one of ${PARTS.join(', ')}, not "${only}".`);
  const wanted = (part: (typeof PARTS)[number]) => only === undefined || only === part;
  const reports = mkdtempSync(path.join(tmpdir(), 'skelby-reports-'));
  const folder = throwawayFolder();
  let cluster: Cluster | null = null;
  const tallies: Tally[] = [];
  try {
    // The build takes as long as the checks do, so that the two share the wait.
    const building = only === 'static' ? Promise.resolve() : buildApp();
    building.catch(() => undefined); // thrown where it is waited for
    if (wanted('static')) tallies.push(...(await timed('the static part', statics)));
    await building;
    if (only !== 'static') tallies.push(firstLoad());
    if (only !== 'static') {
      const there = await startCluster(folder);
      cluster = there;
      if (wanted('unit')) tallies.push(await timed('the unit part', () => unit(there, reports, rest)));
      if (wanted('browser'))
        tallies.push(await timed('the browser part', () => browser(there, reports, rest)));
    }
  } finally {
    await cluster?.stop();
    for (const left of [folder, reports]) rmSync(left, { recursive: true, force: true });
  }
  return tell(tallies);
}

/** Says the sum. @returns the exit code */
function tell(tallies: readonly Tally[]): number {
  const sum = tallies.reduce(
    (all, each) => ({
      passed: all.passed + each.passed,
      failed: all.failed + each.failed,
      flaky: all.flaky + each.flaky,
    }),
    { passed: 0, failed: 0, flaky: 0 },
  );
  const flaky = sum.flaky > 0 ? `, ${sum.flaky} flaky` : '';
  say(`\n${sum.passed} passed, ${sum.failed} failed${flaky}`);
  return sum.failed === 0 && sum.passed > 0 && sum.flaky < TOO_FLAKY ? 0 : 1;
}
