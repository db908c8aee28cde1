import { createHash } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { constants, createBrotliCompress, createGzip } from 'node:zlib';
import { notices } from './packages';
import { ROOT } from './places';
import { run } from './run';
import { CannotGoOn, say } from './say';

export const APP_FOLDER = path.join(ROOT, 'app', 'dist');
const STAMP = path.join(APP_FOLDER, '.built-from');
const COMPRESSED = /\.(js|css|html|json|svg|ttf|map|wasm|webmanifest|txt)$/;
const WORTH_COMPRESSING = 1024;
const LARGEST_KEPT = 8 * 1024 * 1024;

/** Metro's tree shaking: halves the chart code and takes some 20 kB off the first load. */
const LEAVE_OUT_UNUSED = { EXPO_UNSTABLE_METRO_OPTIMIZE_GRAPH: '1', EXPO_UNSTABLE_TREE_SHAKING: '1' };

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => !['node_modules', 'dist', '.expo'].includes(entry.name))
    .flatMap((entry) =>
      entry.isDirectory() ? filesIn(path.join(folder, entry.name)) : [path.join(folder, entry.name)],
    );

/** What the built app depends on, as one number. */
function sourceHash(): string {
  const hash = createHash('sha256');
  const files = [
    ...filesIn(path.join(ROOT, 'app')),
    ...filesIn(path.join(ROOT, 'core')),
    ...filesIn(path.join(ROOT, 'copy')),
    path.join(ROOT, 'package-lock.json'),
    path.join(ROOT, 'tools', 'build-app.ts'),
    path.join(ROOT, 'tools', 'packages.ts'),
  ];
  for (const file of files.filter((name) => !/\.test\.tsx?$/.test(name)).sort())
    hash.update(path.relative(ROOT, file)).update(readFileSync(file));
  return hash.digest('hex');
}

/**
 * Writes the service worker that keeps every file of the app in the browser, and answers every page's address
 * with the app itself.
 */
async function addServiceWorker(folder: string): Promise<void> {
  // Slow to load, and of no use while nothing is built.
  const { generateSW } = await import('workbox-build');
  const { warnings, count } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{js,css,html,svg,png,ttf,woff,woff2,wasm,webmanifest}'],
    globIgnores: ['**/*.map', 'share-target.js'],
    swDest: path.join(folder, 'service-worker.js'),
    // Names in these folders carry a hash of their content.
    dontCacheBustURLsMatching: /\/(_expo\/static|assets)\//,
    maximumFileSizeToCacheInBytes: LARGEST_KEPT,
    navigateFallback: '/index.html',
    // A plain file is itself, whoever opens it: no page of the app has an ending.
    navigateFallbackDenylist: [/^\/api\//, /^\/(healthz|readyz)$/, /\.txt$/],
    cleanupOutdatedCaches: true,
    sourcemap: false,
    inlineWorkboxRuntime: true,
    // What other programs share with the installed app.
    importScripts: ['/share-target.js'],
  });
  if (warnings.length > 0 || count === 0)
    throw new CannotGoOn(`The service worker lacks a part of the app:\n${warnings.join('\n')}`);
}

/** Compresses once what every visitor fetches. */
async function compress(folder: string): Promise<void> {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && COMPRESSED.test(entry.name))
    .map((entry) => path.join(entry.parentPath, entry.name));
  for (const file of files.filter((name) => statSync(name).size >= WORTH_COMPRESSING)) {
    await pipeline(createReadStream(file), createGzip({ level: 9 }), createWriteStream(`${file}.gz`));
    await pipeline(
      createReadStream(file),
      createBrotliCompress({ params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
      createWriteStream(`${file}.br`),
    );
  }
}

/** Builds the web app unless the built one is of the same source. */
export async function buildApp(): Promise<void> {
  const hash = sourceHash();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return;
  say('Building the app (a minute or two) …');
  const expo = path.join(ROOT, 'node_modules', '.bin', 'expo');
  const { code, output } = await run(expo, ['export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: path.join(ROOT, 'app'),
    env: { CI: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production', NODE_OPTIONS: '', ...LEAVE_OUT_UNUSED },
  });
  if (code !== 0)
    throw new CannotGoOn(`The app does not build:\n${output.trim().split('\n').slice(-30).join('\n')}`);
  writeFileSync(path.join(APP_FOLDER, 'third-party-notices.txt'), notices());
  await addServiceWorker(APP_FOLDER);
  await compress(APP_FOLDER);
  writeFileSync(STAMP, hash);
}
