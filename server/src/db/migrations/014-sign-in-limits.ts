import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** Wrong sign-ins are counted where every server sees them, and a trainer's own devices are known. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table sign_in_limits (key varchar(255) primary key, points integer not null default 0, expire bigint);
    comment on table sign_in_limits is 'Of the service, not of a school: nobody is known yet while signing in. Keys are hashes.';
    grant select, insert, update, delete on sign_in_limits to skelby_app;

    ${schoolTable(
      'devices',
      `
      account_id uuid not null,
      token_hash bytea not null,
      made_at timestamptz not null default now(),
      unique (school_id, account_id, token_hash),
      ${refers('account_id', 'accounts')}`,
    )}
    comment on table devices is 'Where an account has signed in before: whoever guesses at it from elsewhere locks nobody out there.';
    grant select, insert, delete on devices to skelby_app;
    -- Like signing in itself, this asks before a school is known; it tells whether, and nothing else.
    create function is_device_of(wanted_email text, wanted_hash bytea) returns boolean
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select exists (select 1 from devices d join accounts a on a.school_id = d.school_id and a.id = d.account_id
             where a.email = wanted_email and d.token_hash = wanted_hash) $body$;
    revoke all on function is_device_of(text, bytea) from public;
    grant execute on function is_device_of(text, bytea) to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
