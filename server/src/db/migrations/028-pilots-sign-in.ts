import type { Knex } from 'knex';

/** A pilot may sign in with an account of their own: it opens their own page and nothing else. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table accounts drop constraint accounts_role_check;
    alter table accounts add constraint accounts_role_check
      check (role in ('owner', 'lead', 'trainer', 'reader', 'pilot'));
    alter table accounts
      add column pilot_id uuid,
      add constraint accounts_of_pilot foreign key (school_id, pilot_id) references pilots (school_id, id),
      add constraint accounts_pilot_check check ((role = 'pilot') = (pilot_id is not null));
    create unique index accounts_one_of_pilot on accounts (school_id, pilot_id) where ended_at is null;
    grant select (pilot_id) on accounts to skelby_app;
    -- For forgetting: the address goes with the name.
    grant update (email) on accounts to skelby_app;

    alter table invitations drop constraint invitations_role_check;
    alter table invitations add constraint invitations_role_check
      check (role in ('owner', 'lead', 'trainer', 'reader', 'pilot'));
    alter table invitations
      add column pilot_id uuid,
      add constraint invitations_of_pilot foreign key (school_id, pilot_id) references pilots (school_id, id);

    drop function session_by_token(bytea);
    create function session_by_token(wanted bytea)
      returns table (school_id uuid, account_id uuid, name text, school_name text, role text, pilot_id uuid,
        session_id uuid, seen_lately boolean, ended boolean)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, s.name, a.role, a.pilot_id, x.id,
               coalesce(x.used_at > now() - interval '5 minutes', false),
               x.ended_at is not null or a.ended_at is not null
             from sessions x
             join accounts a on a.school_id = x.school_id and a.id = x.account_id
             join schools s on s.id = x.school_id
             where x.token_hash = wanted and x.expires_at > now()
               and (x.ended_at is not null or a.ended_at is not null
                 or coalesce(x.used_at, x.made_at) > now() - interval '14 days') $body$;
    drop function invitation_by_token(bytea);
    create function invitation_by_token(wanted bytea)
      returns table (id uuid, school_id uuid, school_name text, role text, account_id uuid, email text, made_by uuid,
        invited_by text, pilot_id uuid, pilot_name text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select i.id, i.school_id, s.name, i.role, i.account_id, a.email, i.made_by, m.name, i.pilot_id, p.name
             from invitations i
             join schools s on s.id = i.school_id
             join accounts m on m.school_id = i.school_id and m.id = i.made_by
             left join accounts a on a.school_id = i.school_id and a.id = i.account_id
             left join pilots p on p.school_id = i.school_id and p.id = i.pilot_id
             where i.token_hash = wanted and i.used_at is null and i.ended_at is null and i.expires_at > now() $body$;
    revoke all on function session_by_token(bytea), invitation_by_token(bytea) from public;
    grant execute on function session_by_token(bytea), invitation_by_token(bytea) to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
