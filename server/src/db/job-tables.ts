import type { Knex } from 'knex';
import PgBoss from 'pg-boss';

/** The queue in which files that are brought in wait. Parameters of a job: see `jobs.ts`. */
const QUEUE = {
  policy: 'standard',
  retryLimit: 100,
  retryDelay: 5,
  retryBackoff: false,
  expireInSeconds: 60,
  retentionMinutes: 1440,
};

/** What pg-boss sets up, within the transaction that is under way. */
const bossTables = (): string =>
  PgBoss.getConstructionPlans()
    .replace(/^\s*BEGIN;/, '')
    .replace(/COMMIT;\s*$/, '')
    // A question mark that is not escaped is a binding to Knex.
    .replaceAll('?', '\\?');

/**
 * Makes the tables of the job queue, as the owner of the database; none where they are there. A job names a school and a
 * file by their keys and says nothing else, since it is read by every server. No backup holds them.
 * @param db a transaction
 */
export async function makeJobTables(db: Knex): Promise<void> {
  const { rows } = (await db.raw("select to_regnamespace('pgboss') is not null as there")) as {
    rows: { there: boolean }[];
  };
  if (rows[0]!.there) return;
  await db.raw(bossTables());
  await db.raw('select pgboss.create_queue(?, ?)', ['imports', JSON.stringify(QUEUE)]);
  await db.raw(`
    grant usage on schema pgboss to skelby_app;
    grant select on all tables in schema pgboss to skelby_app;
    grant update (maintained_on, monitored_on, cron_on) on pgboss.version to skelby_app;
    grant insert, update, delete on pgboss.job, pgboss.archive to skelby_app;
  `);
}
