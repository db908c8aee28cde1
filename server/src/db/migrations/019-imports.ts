import type { Knex } from 'knex';
import PgBoss from 'pg-boss';
import { refers, schoolTable } from '../school-table';

/** The queue in which files that are brought in wait. Parameters of a job: see `../jobs.ts`. */
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
 * Files that are brought in, with how far each has come, and their bytes until it is over; and the tables of the job
 * queue. A job names a school and a file by their keys and says nothing else, since it is read by every server.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'imports',
      `
      account_id uuid not null,
      name text not null,
      format text not null check (format in ('csv', 'json')),
      -- Not set: it is looked over, and nothing of it is saved.
      saves boolean not null,
      state text not null check (state in ('waiting', 'working', 'looked-over', 'brought-in', 'stopped', 'failed')),
      bytes integer not null,
      bytes_read integer not null default 0,
      rows integer not null default 0,
      report jsonb not null,
      problem text,
      tries integer not null default 0,
      made_at timestamptz not null default now(),
      changed_at timestamptz not null default now(),
      ${refers('account_id', 'accounts')}`,
    )}
    ${schoolTable(
      'import_parts',
      `
      import_id uuid not null,
      number integer not null,
      content bytea not null,
      unique (school_id, import_id, number),
      foreign key (school_id, import_id) references imports (school_id, id) on delete cascade`,
    )}
    grant select, insert, update, delete on imports, import_parts to skelby_app;
  `);
  await db.raw(bossTables());
  await db.raw('select pgboss.create_queue(?, ?)', ['imports', JSON.stringify(QUEUE)]);
  await db.raw(`
    grant usage on schema pgboss to skelby_app;
    grant select on all tables in schema pgboss to skelby_app;
    grant update (maintained_on, monitored_on, cron_on) on pgboss.version to skelby_app;
    grant insert, update, delete on pgboss.job, pgboss.archive to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
