import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { application, FLIGHT_FILES_MB } from './application';
import { openChanges } from './db/changes';
import { openJobs } from './db/jobs';
import { openLanes } from './db/lanes';
import { assertUpToDate } from './db/migrate';
import { assertWorkingRole } from './db/working-role';
import { workOnImports } from './exchange/work-on-import';
import { live } from './http/live';
import { InFlight } from './http/requests';

const STOP_WITHIN_MS = 10_000;

function setting(name: string, otherwise?: string): string {
  const value = process.env[name] ?? otherwise;
  if (value === undefined) throw new Error(`Set ${name} before starting the server.`);
  return value;
}

/** A whole number, 0 where it is not set. */
function count(name: string): number {
  const value = Number(setting(name, '0'));
  if (!Number.isInteger(value) || value < 0 || value > 10)
    throw new Error(`${name} must be a whole number from 0 to 10: how many proxies stand in front.`);
  return value;
}

/** A whole number of megabytes. */
function megabytes(name: string, otherwise: number): number {
  const value = Number(setting(name, String(otherwise)));
  if (!Number.isInteger(value) || value < 1)
    throw new Error(
      `${name} must be a whole number of megabytes: what the flight files of a school may take.`,
    );
  return value;
}

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
const lanes = openLanes(setting('DATABASE_URL'));
const inFlight = new InFlight();
let stopping = false;

await assertWorkingRole(lanes.asked);
await assertUpToDate(lanes.asked);
const jobs = await openJobs(setting('DATABASE_URL'), (error) => log.error({ err: error }, 'jobs'));
const changes = await openChanges(
  setting('DATABASE_DIRECT_URL', setting('DATABASE_URL')),
  lanes.asked,
  (error) => log.error({ err: error }, 'changes'),
);
const streams = live(lanes.asked, changes);
await workOnImports(jobs, { files: lanes.files, changes, log, isStopping: () => stopping });
const server = application({
  lanes,
  jobs,
  changes,
  live: streams,
  log,
  appFolder: setting('APP_FOLDER'),
  isStopping: () => stopping,
  inFlight,
  proxies: count('TRUST_PROXY'),
  flightBytes: megabytes('FLIGHT_FILES_MB', FLIGHT_FILES_MB) * 1024 * 1024,
}).listen(Number(setting('PORT', '8080')), setting('HOST', '127.0.0.1'));
server.on('listening', () => {
  const { port } = server.address() as AddressInfo;
  log.info({ port }, 'listening');
  process.send?.({ listening: port });
});
server.on('error', (error) => {
  log.fatal({ err: error }, 'cannot listen');
  process.exit(1);
});

/** Takes nothing new, finishes what is under way, then closes the database. */
function stop(signal: string): void {
  if (stopping) return;
  stopping = true;
  log.info({ signal }, 'stopping');
  setTimeout(() => {
    log.warn('stopping took too long');
    process.exit(1);
  }, STOP_WITHIN_MS).unref();
  streams.end();
  server.close(() => {
    // A reader that hung up has closed its connection, but its handler may still be at work.
    void Promise.all([inFlight.none(), jobs.close(), changes.close()])
      .then(() => lanes.close())
      .then(() => {
        log.info('stopped');
        process.exit(0);
      });
  });
  server.closeIdleConnections();
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
// A launcher that was killed outright must not leave a server behind.
process.on('disconnect', () => stop('launcher gone'));
