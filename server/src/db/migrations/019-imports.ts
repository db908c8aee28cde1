import type { Knex } from 'knex';
import { makeJobTables } from '../job-tables';
import { refers, schoolTable } from '../school-table';

/**
 * Files that are brought in, with how far each has come, and their bytes until it is over; and the tables of the job
 * queue.
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
  await makeJobTables(db);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
