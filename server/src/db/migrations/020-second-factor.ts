import type { Knex } from 'knex';

/**
 * A second factor by time (RFC 6238) for whoever wants one. The secret is read one account at a time through a function, as
 * the password hash is; a step of time is spent once, and so is each spare code, which stands as a hash.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table accounts
      add column second_secret text,
      -- Null with a secret there: being set up, and not asked for yet.
      add column second_since timestamptz,
      add column second_step bigint not null default 0,
      add column spare_hashes bytea[] not null default '{}';
    grant select (second_since) on accounts to skelby_app;
    grant update (second_secret, second_since, second_step, spare_hashes) on accounts to skelby_app;

    create function second_factor_of(wanted_school uuid, wanted uuid)
      returns table (secret text, since timestamptz, spare int)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.second_secret, a.second_since, cardinality(a.spare_hashes) from accounts a
             where a.school_id = wanted_school and a.id = wanted $body$;
    create function spend_second_step(wanted_school uuid, wanted uuid, step bigint) returns boolean
      language sql volatile security definer set search_path = public, pg_temp as
      $body$ with spent as (
               update accounts set second_step = step
               where school_id = wanted_school and id = wanted and second_step < step returning 1)
             select exists (select 1 from spent) $body$;
    create function spend_spare_code(wanted_school uuid, wanted uuid, code_hash bytea) returns boolean
      language sql volatile security definer set search_path = public, pg_temp as
      $body$ with spent as (
               update accounts set spare_hashes = array_remove(spare_hashes, code_hash)
               where school_id = wanted_school and id = wanted and code_hash = any(spare_hashes) returning 1)
             select exists (select 1 from spent) $body$;
    revoke all on function second_factor_of(uuid, uuid), spend_second_step(uuid, uuid, bigint),
      spend_spare_code(uuid, uuid, bytea) from public;
    grant execute on function second_factor_of(uuid, uuid), spend_second_step(uuid, uuid, bigint),
      spend_spare_code(uuid, uuid, bytea) to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
