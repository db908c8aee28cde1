import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/**
 * What recorders have written down: the files, compressed and in pieces, what a flight answers of an entry's debrief, how
 * far and high one went, and where sites are.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'flight_files',
      `
      account_id uuid not null,
      name text not null,
      -- Of the file itself, and of what is kept of it.
      bytes integer not null,
      kept_bytes integer not null,
      pilot_id uuid,
      -- Among what was flown; it may come later, or never.
      flight_id uuid,
      made_at timestamptz not null default now(),
      ${refers('account_id', 'accounts')},
      ${refers('pilot_id', 'pilots')}`,
    )}
    ${schoolTable(
      'flight_file_parts',
      `
      file_id uuid not null,
      number integer not null,
      content bytea not null check (length(content) <= 1048576),
      unique (school_id, file_id, number),
      foreign key (school_id, file_id) references flight_files (school_id, id) on delete cascade`,
    )}
    create index flight_files_of_flight on flight_files (school_id, flight_id);
    create index flight_files_by_age on flight_files (school_id, made_at);
    comment on column flight_files.id is 'From the SHA-256 of the file: the same file twice is one.';
    grant select, insert, update, delete on flight_files, flight_file_parts to skelby_app;

    alter table occurrences add column flown jsonb;
    comment on column occurrences.flown is 'What a recorded flight answers of the debrief; null: none was read.';
    alter table flights add column farthest_m real, add column highest_m real;
    alter table sites add column latitude_deg double precision, add column longitude_deg double precision;
    alter table schools add column flight_months smallint not null default 24 check (flight_months between 1 and 120);
    grant select (flight_months), update (flight_months) on schools to skelby_app;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    alter table schools drop column flight_months;
    alter table sites drop column latitude_deg, drop column longitude_deg;
    alter table flights drop column farthest_m, drop column highest_m;
    alter table occurrences drop column flown;
    drop table flight_file_parts;
    drop table flight_files;
  `);
}
