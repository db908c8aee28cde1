import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { backUp } from './backup';
import { say } from './say';

const DAY_MS = 86_400_000;
/** So many are kept. */
const KEPT = 14;
const NAMED = /^skelby-\d{4}-\d{2}-\d{2}\.backup$/;

/** Throws the oldest away. */
function prune(folder: string): void {
  const there = readdirSync(folder)
    .filter((name) => NAMED.test(name))
    .sort();
  for (const name of there.slice(0, Math.max(0, there.length - KEPT))) rmSync(path.join(folder, name));
}

/** One backup, named by its day. What goes wrong is said and does not stop the server. @returns whether it worked */
export async function backUpOnce(folder: string, url: string, day: string): Promise<boolean> {
  try {
    mkdirSync(folder, { recursive: true });
    await backUp(path.join(folder, `skelby-${day}.backup`), url);
    prune(folder);
    return true;
  } catch (error) {
    say(`! No backup today: ${(error as Error).message}`);
    return false;
  }
}

/** A backup now and every day, each tried by restoring it. @returns stops it */
export function backUpDaily(folder: string, url: string): () => void {
  const now = () => void backUpOnce(folder, url, new Date().toISOString().slice(0, 10));
  now();
  const timer = setInterval(now, DAY_MS);
  return () => clearInterval(timer);
}
