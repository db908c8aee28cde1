import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { loadDemo } from '../server/src/demo/load';
import { buildApp } from './build-app';
import { type Cluster, freePort, startCluster } from './cluster';
import { ensureDatabase, withDatabase } from './database';
import { needChromium } from './needs';
import { ROOT, throwawayFolder } from './places';
import { run } from './run';
import { CannotGoOn, say } from './say';
import { startServer } from './server-process';

const bin = (name: string) => path.join(ROOT, 'node_modules', '.bin', name);

interface Tally {
  readonly passed: number;
  readonly failed: number;
}

/** A check that is one thing: it passes or it does not. */
async function one(name: string, program: string, args: readonly string[]): Promise<Tally> {
  say(`\n── ${name}`);
  const { code, output } = await run(program, args, { cwd: ROOT });
  say(code === 0 ? 'clean' : output.trim());
  return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

/** What a runner wrote about itself; a runner that died before writing counts as one failure. */
function tallyIn(file: string, read: (report: never) => Tally): Tally {
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  return read(JSON.parse(readFileSync(file, 'utf8')) as never);
}

async function unit(cluster: Cluster, reports: string, only: readonly string[]): Promise<Tally> {
  say('\n── unit and server tests');
  const file = path.join(reports, 'jest.json');
  await run(bin('jest'), ['--json', `--outputFile=${file}`, ...only], {
    cwd: ROOT,
    show: true,
    env: { TEST_CLUSTER_URL: cluster.url('postgres') },
  });
  return tallyIn(
    file,
    (report: { numPassedTests: number; numFailedTests: number; numRuntimeErrorTestSuites: number }) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    }),
  );
}

async function browser(cluster: Cluster, reports: string, only: readonly string[]): Promise<Tally> {
  say('\n── browser tests');
  await needChromium();
  await ensureDatabase(cluster.url, 'browser');
  await withDatabase(cluster.url('browser'), (db) => loadDemo(db, new Date()));
  const server = await startServer(cluster.url('browser'), await freePort());
  const file = path.join(reports, 'playwright.json');
  try {
    await run(
      bin('playwright'),
      ['test', '--config', path.join(ROOT, 'e2e', 'playwright.config.ts'), ...only],
      {
        cwd: ROOT,
        show: true,
        env: { BASE_URL: `http://127.0.0.1:${server.port}`, PLAYWRIGHT_JSON_OUTPUT_NAME: file },
      },
    );
  } finally {
    await server.stop();
  }
  return tallyIn(file, (report: { stats: { expected: number; unexpected: number; flaky: number } }) => ({
    passed: report.stats.expected + report.stats.flaky,
    failed: report.stats.unexpected,
  }));
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
    if (wanted('static')) {
      for (const part of ['core', 'server', 'app', 'tools'])
        tallies.push(await one(`types: ${part}`, bin('tsc'), ['-p', part]));
      tallies.push(await one('lint', bin('eslint'), ['.']));
    }
    await building;
    if (wanted('unit') || wanted('browser')) cluster = await startCluster(folder);
    if (cluster && wanted('unit')) tallies.push(await unit(cluster, reports, rest));
    if (cluster && wanted('browser')) tallies.push(await browser(cluster, reports, rest));
  } finally {
    await cluster?.stop();
    for (const left of [folder, reports]) rmSync(left, { recursive: true, force: true });
  }
  const sum = tallies.reduce(
    (all, each) => ({ passed: all.passed + each.passed, failed: all.failed + each.failed }),
    { passed: 0, failed: 0 },
  );
  say(`\n${sum.passed} passed, ${sum.failed} failed`);
  return sum.failed === 0 && sum.passed > 0 ? 0 : 1;
}
