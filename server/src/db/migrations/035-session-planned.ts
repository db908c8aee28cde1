import type { Knex } from 'knex';

/** Whose session it is, of a token's hash; for the service alone, which sees across schools. */
const WHOSE = `
  select a.school_id, a.id, a.name, s.name, a.role, a.pilot_id, x.id,
      coalesce(x.used_at > now() - interval '5 minutes', false),
      x.ended_at is not null or a.ended_at is not null
    from sessions x
    join accounts a on a.school_id = x.school_id and a.id = x.account_id
    join schools s on s.id = x.school_id
    where x.token_hash = wanted and x.expires_at > now()
      and (x.ended_at is not null or a.ended_at is not null
        or coalesce(x.used_at, x.made_at) > now() - interval '14 days')`;

const sessionByToken = (language: string, body: string): string => `
  create or replace function session_by_token(wanted bytea)
    returns table (school_id uuid, account_id uuid, name text, school_name text, role text, pilot_id uuid,
      session_id uuid, seen_lately boolean, ended boolean)
    language ${language} stable security definer set search_path = public, pg_temp as $body$ ${body} $body$`;

/** Every request asks for it: a function in SQL is planned each time, one in PL/pgSQL once a connection. */
export async function up(db: Knex): Promise<void> {
  await db.raw(sessionByToken('plpgsql', `begin return query ${WHOSE}; end`));
}

export async function down(db: Knex): Promise<void> {
  await db.raw(sessionByToken('sql', WHOSE));
}
