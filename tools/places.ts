import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { postgresCanReach } from './cluster';

/** The database that the schools are in. */
export const DATABASE = 'skelby';

export const ROOT = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

/** A program of an installed package. */
export const bin = (name: string): string => path.join(ROOT, 'node_modules', '.bin', name);

/**
 * Where data is kept unless told otherwise: beside the code, or, where the database's own user may
 * not go there, in a folder of this checkout's under /var/tmp.
 */
export async function defaultDataFolder(name: string): Promise<string> {
  const beside = path.join(ROOT, '.skelby');
  mkdirSync(beside, { recursive: true });
  if (await postgresCanReach(beside)) return path.join(beside, name);
  const here = createHash('sha256').update(ROOT).digest('hex').slice(0, 8);
  return path.join('/var/tmp', `skelby-${here}`, name);
}

export const throwawayFolder = (): string => path.join(tmpdir(), `skelby-test-${process.pid}-${Date.now()}`);
