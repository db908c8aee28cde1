import path from 'node:path';
import { claim, runningIn } from './claim';
import { joinCluster, startCluster } from './cluster';
import { ensureDatabase } from './database';
import { DATABASE, defaultDataFolder } from './places';

export interface InUse {
  /** The database with the schools. */
  readonly url: string;
  readonly release: () => Promise<void>;
}

/** The address of another database of the same server. */
export function besideOf(url: string, database: string): string {
  const other = new URL(url);
  other.pathname = `/${database}`;
  return other.href;
}

/**
 * The database to work on: the one given in DATABASE_URL, the one that is running on this data, or one started for as long
 * as this takes.
 */
export async function dataInUse(data: string | undefined): Promise<InUse> {
  const given = process.env['DATABASE_URL'];
  if (given) return { url: given, release: () => Promise.resolve() };
  const folder = path.resolve(data ?? (await defaultDataFolder('school')));
  if ((runningIn(folder)?.port ?? null) !== null)
    return { url: joinCluster(folder)(DATABASE), release: () => Promise.resolve() };
  const free = claim(folder, null);
  try {
    const cluster = await startCluster(folder);
    await ensureDatabase(cluster.url, DATABASE);
    return {
      url: cluster.url(DATABASE),
      release: async () => {
        await cluster.stop();
        free();
      },
    };
  } catch (error) {
    free();
    throw error;
  }
}
