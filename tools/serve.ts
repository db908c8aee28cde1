import path from 'node:path';
import { connect } from '../server/src/db/connection';
import { assertUpToDate } from '../server/src/db/migrate';
import { assertWorkingRole, TWO_ROLES } from '../server/src/db/working-role';
import { buildApp } from './build-app';
import { backUpDaily } from './backups';
import { claim } from './claim';
import { type Cluster, startCluster } from './cluster';
import { assertAnswers, ensureDatabase, remakeDatabase, withDatabase } from './database';
import { DATABASE, defaultDataFolder } from './places';
import { CannotGoOn, say } from './say';
import { assertPortFree, type ServerProcess, startServer } from './server-process';

const DEFAULT_PORT = 8080;

export interface ServeOptions {
  readonly demo: boolean;
  readonly port?: string;
  readonly data?: string;
  readonly fresh?: boolean;
  /** Backups go here, one a day. */
  readonly backups?: string;
}

export function portOf(text: string | undefined): number {
  if (text === undefined) return DEFAULT_PORT;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new CannotGoOn(`--port must be a whole number from 1 to 65535, not "${text}".`);
  return port;
}

const untilTold = (): Promise<void> =>
  new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => resolve());
  });

/** Brings the database up to date, and loads the demo school where it is wanted and missing. */
async function fill(url: string, options: ServeOptions, cluster: Cluster | null): Promise<void> {
  if (options.fresh) {
    if (!options.demo || !cluster)
      throw new CannotGoOn(
        '--fresh throws the demo database away, so it goes only with "demo" and without DATABASE_URL.',
      );
    const real = await withDatabase(
      url,
      (db) =>
        db('schools').where({ demoLoadedOn: null, sandboxOf: null }).first('name') as Promise<
          { name: string } | undefined
        >,
    );
    if (real)
      throw new CannotGoOn(
        `This data folder holds the school "${real.name}", which is no demo: it is not thrown away. Name another folder with --data DIR.`,
      );
    await remakeDatabase(cluster.url, DATABASE);
  }
  await withDatabase(url, async (db) => {
    if (!options.demo) return;
    // What only a demo needs is loaded with it: whoever mistyped is told at once.
    const { loadDemo } = await import('../server/src/demo/load');
    if (await loadDemo(db, new Date())) say('Loaded the demo school.');
  });
}

interface OwnPostgres {
  /** As its owner; absent where another start brings it up to date. */
  readonly url: string | undefined;
  readonly appUrl: string;
}

/** The PostgreSQL that was named; null: one of our own. @throws CannotGoOn when only its owner was named */
function ownPostgres(): OwnPostgres | null {
  const { DATABASE_URL: url, DATABASE_APP_URL: appUrl } = process.env;
  if (url && !appUrl) throw new CannotGoOn(`DATABASE_APP_URL is missing.\n${TWO_ROLES}`);
  return appUrl ? { url, appUrl } : null;
}

/**
 * Sets a database up as far as its owner's address is known, and looks at once whether the server will be able to work
 * on it: not first after minutes of building.
 * @throws CannotGoOn when it will not
 */
async function readyDatabase(
  url: string | undefined,
  own: OwnPostgres | null,
  options: ServeOptions,
  cluster: Cluster | null,
): Promise<void> {
  if (url) await fill(url, options, cluster);
  if (!own) return;
  const db = connect(own.appUrl);
  try {
    await assertAnswers(db, 'DATABASE_APP_URL');
    await assertWorkingRole(db);
    await assertUpToDate(db);
  } catch (error) {
    throw new CannotGoOn((error as Error).message);
  } finally {
    await db.destroy();
  }
}

/** @throws CannotGoOn without the address of the owner, who alone sees every school */
function backUpOf(url: string | undefined, folder: string): () => void {
  if (!url)
    throw new CannotGoOn(
      '--backups needs DATABASE_URL, the address of the owner: a copy is of every school.',
    );
  return backUpDaily(path.resolve(folder), url);
}

/** Sets up what is missing, serves until told to stop, and stops everything that it started. */
export async function serve(options: ServeOptions): Promise<number> {
  const told = untilTold();
  const port = portOf(options.port);
  await assertPortFree(port);
  const own = ownPostgres();
  const folder = path.resolve(options.data ?? (await defaultDataFolder(options.demo ? 'demo' : 'school')));
  let cluster: Cluster | null = null;
  let server: ServerProcess | null = null;
  let release = () => {};
  let stopBackups = () => {};
  try {
    if (!own) {
      release = claim(folder, port);
      cluster = await startCluster(folder);
      await ensureDatabase(cluster.url, DATABASE);
    }
    // Without the owner's address it serves what another start has set up.
    const url = own ? own.url : cluster!.url(DATABASE);
    const setUp = await Promise.race([
      Promise.all([buildApp(), readyDatabase(url, own, options, cluster)]),
      told.then(() => null),
    ]);
    if (setUp === null) return 0;
    server = await startServer(own?.appUrl ?? cluster!.appUrl(DATABASE), port);
    say(`\nSkelby is at http://127.0.0.1:${port}`);
    if (options.demo) {
      const { DEMO_TRAINERS } = await import('../server/src/demo/school');
      say(`Sign in as ${DEMO_TRAINERS[0].email} with the password ${DEMO_TRAINERS[0].password}`);
    }
    say('Ctrl-C stops it.');
    if (options.backups) stopBackups = backUpOf(url, options.backups);
    const died = await Promise.race([told.then(() => null), server.ended]);
    if (died !== null)
      throw new CannotGoOn(`The server stopped by itself (code ${died}); what it said stands above.`);
    say('\nStopping …');
    return 0;
  } finally {
    stopBackups();
    await server?.stop();
    await cluster?.stop();
    release();
  }
}
