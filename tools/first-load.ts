import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { APP_FOLDER } from './build-app';

/** Scripts of the first page, gzipped, at most, bytes. */
export const FIRST_LOAD_AT_MOST = 330_000;

const SCRIPTS = path.join('_expo', 'static', 'js', 'web');
/** Pieces of the first page beside what its own address names: the layouts, and Today. */
const OF_THE_FIRST_PAGE = /^(_layout|index)-[0-9a-f]+\.js$/;

/**
 * Bytes of script that the first page of a built app loads, gzipped: what its page names, the layouts, and every page
 * that may be the first.
 */
export function firstLoadBytes(folder: string = APP_FOLDER): number {
  const page = readFileSync(path.join(folder, 'index.html'), 'utf8');
  const named = [...page.matchAll(/src="\/([^"]+\.js)"/g)].map(([, file]) => file!);
  const pieces = readdirSync(path.join(folder, SCRIPTS))
    .filter((name) => OF_THE_FIRST_PAGE.test(name))
    .map((name) => path.join(SCRIPTS, name));
  return [...new Set([...named, ...pieces])]
    .map((file) => gzipSync(readFileSync(path.join(folder, file)), { level: 9 }).length)
    .reduce((sum, each) => sum + each, 0);
}
