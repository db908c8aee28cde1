import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { CannotGoOn } from './say';

/** Which launcher uses a data folder. */

export interface Running {
  readonly pid: number;
  /** Port that it serves on; null while it only works on the data. */
  readonly port: number | null;
}

const fileIn = (folder: string) => path.join(folder, 'running.json');

/** The launcher that uses this data folder now; null when there is none. */
export function runningIn(folder: string): Running | null {
  const file = fileIn(folder);
  if (!existsSync(file)) return null;
  try {
    const { pid, port } = JSON.parse(readFileSync(file, 'utf8')) as Running;
    if (pid !== process.pid) process.kill(pid, 0);
    return { pid, port };
  } catch {
    // Half-written, or of a launcher that is gone: nobody runs here.
    return null;
  }
}

const says = ({ pid, port }: Running): string =>
  port === null
    ? `Skelby is at work on this data (process ${pid}). Wait until it is done`
    : `Skelby already runs on this data at http://127.0.0.1:${port} (process ${pid}). Stop that one`;

/**
 * Keeps two launchers from using one data folder.
 * @returns gives it free again
 * @throws CannotGoOn where another has it, or it cannot be written to
 */
export function claim(folder: string, port: number | null): () => void {
  const file = fileIn(folder);
  try {
    mkdirSync(folder, { recursive: true });
    const other = runningIn(folder);
    if (other) throw new CannotGoOn(`${says(other)}, or name another folder with --data DIR.`);
    writeFileSync(file, JSON.stringify({ pid: process.pid, port }));
  } catch (error) {
    if (error instanceof CannotGoOn) throw error;
    throw new CannotGoOn(
      `The data folder ${folder} cannot be used (${(error as Error).message}). Name another with --data DIR.`,
    );
  }
  return () => rmSync(file, { force: true });
}
