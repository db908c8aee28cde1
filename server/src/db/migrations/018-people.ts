import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/**
 * People and roles. Whoever was a trainer before there were roles set the school too, and so becomes a lead; an
 * account that is ended opens nothing any more, and stays where it signed. A session that is ended from elsewhere is kept
 * until it would have expired, so that its device is told to wipe what it holds. Invitations are links, kept as hashes.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table accounts drop constraint if exists accounts_role_check;
    update accounts set role = 'lead' where role = 'trainer';
    alter table accounts add constraint accounts_role_check check (role in ('owner', 'lead', 'trainer', 'reader'));
    alter table accounts add column ended_at timestamptz;
    grant select (ended_at) on accounts to skelby_app;
    grant update (role, ended_at, password_hash, name) on accounts to skelby_app;

    alter table sessions add column made_at timestamptz not null default now(), add column used_at timestamptz,
      add column device text not null default '', add column ended_at timestamptz;
    grant update (used_at, ended_at) on sessions to skelby_app;

    ${schoolTable(
      'invitations',
      `
      role text not null check (role in ('owner', 'lead', 'trainer', 'reader')),
      -- Set: a new password for an account that is there, and no new account.
      account_id uuid,
      token_hash bytea not null unique,
      made_by uuid not null,
      made_at timestamptz not null default now(),
      expires_at timestamptz not null,
      used_at timestamptz,
      ended_at timestamptz,
      ${refers('made_by', 'accounts')},
      ${refers('account_id', 'accounts')}`,
    )}
    grant select, insert on invitations to skelby_app;
    grant update (used_at, ended_at) on invitations to skelby_app;

    drop function session_by_token(bytea);
    create function session_by_token(wanted bytea)
      returns table (school_id uuid, account_id uuid, name text, school_name text, role text, session_id uuid,
        seen_lately boolean, ended boolean)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, s.name, a.role, x.id,
               coalesce(x.used_at > now() - interval '5 minutes', false),
               x.ended_at is not null or a.ended_at is not null
             from sessions x
             join accounts a on a.school_id = x.school_id and a.id = x.account_id
             join schools s on s.id = x.school_id
             where x.token_hash = wanted and x.expires_at > now()
               and (x.ended_at is not null or a.ended_at is not null
                 or coalesce(x.used_at, x.made_at) > now() - interval '14 days') $body$;

    create or replace function account_by_email(wanted text)
      returns table (school_id uuid, account_id uuid, name text, password_hash text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, a.password_hash from accounts a
             where a.email = wanted and a.ended_at is null $body$;

    -- Like signing in, this asks before a school is known; it tells where the link leads, and nothing else.
    create function invitation_by_token(wanted bytea)
      returns table (id uuid, school_id uuid, school_name text, role text, account_id uuid, email text, made_by uuid,
        invited_by text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select i.id, i.school_id, s.name, i.role, i.account_id, a.email, i.made_by, m.name
             from invitations i
             join schools s on s.id = i.school_id
             join accounts m on m.school_id = i.school_id and m.id = i.made_by
             left join accounts a on a.school_id = i.school_id and a.id = i.account_id
             where i.token_hash = wanted and i.used_at is null and i.ended_at is null and i.expires_at > now() $body$;
    -- Whether an address signs in anywhere: told to nobody but whoever holds an invitation.
    create function signs_in(wanted text) returns boolean
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select exists (select 1 from accounts where email = wanted) $body$;
    revoke all on function session_by_token(bytea), invitation_by_token(bytea), signs_in(text) from public;
    grant execute on function session_by_token(bytea), invitation_by_token(bytea), signs_in(text) to skelby_app;
    grant insert on accounts to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
