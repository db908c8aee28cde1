import type { Knex } from 'knex';

/** One address may sign in at several schools; at each it is an account of its own. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table accounts drop constraint accounts_email_key;
    create unique index accounts_email_key on accounts (school_id, email);
    -- Signing in asks before a school is known.
    create index accounts_by_email on accounts (email);

    drop function account_by_email(text);
    drop function signs_in(text);
    create function accounts_by_email(wanted text)
      returns table (school_id uuid, account_id uuid, name text, password_hash text, school_name text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, a.password_hash, s.name
             from accounts a join schools s on s.id = a.school_id
             where a.email = wanted and a.ended_at is null order by s.name, s.id $body$;
    -- A new password for a person is one at every school where the old one was theirs. Whoever asks knows the old hash.
    create function renew_password(wanted text, old_hash text, new_hash text)
      returns table (school_id uuid, account_id uuid)
      language sql volatile security definer set search_path = public, pg_temp as
      $body$ update accounts a set password_hash = new_hash
             where a.email = wanted and a.password_hash = old_hash and a.ended_at is null
             returning a.school_id, a.id $body$;
    revoke all on function accounts_by_email(text), renew_password(text, text, text) from public;
    grant execute on function accounts_by_email(text), renew_password(text, text, text) to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
