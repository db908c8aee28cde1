import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** Programs of a school ask with a token: it acts for whoever made it, as a reader or a trainer, until it is ended. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'api_tokens',
      `
      account_id uuid not null,
      name text not null check (char_length(name) between 1 and 60),
      role text not null check (role in ('reader', 'trainer')),
      token_hash bytea not null unique,
      made_at timestamptz not null default now(),
      last_used_at timestamptz,
      ended_at timestamptz,
      ${refers('account_id', 'accounts')}`,
    )}
    create index api_tokens_open on api_tokens (school_id, made_at) where ended_at is null;
    grant select, insert, update (last_used_at, ended_at) on api_tokens to skelby_app;

    create function account_by_api_token(wanted bytea)
      returns table (school_id uuid, account_id uuid, name text, school_name text, role text, program text, token_id uuid, seen_lately boolean)
      language plpgsql stable security definer set search_path = public, pg_temp as
      $body$ begin
        return query
        select t.school_id, t.account_id, a.name, s.name, t.role, t.name, t.id,
               coalesce(t.last_used_at > now() - interval '5 minutes', false)
          from api_tokens t
          join accounts a on a.school_id = t.school_id and a.id = t.account_id
          join schools s on s.id = t.school_id
         where t.token_hash = wanted and t.ended_at is null and a.ended_at is null
           and a.role in ('owner', 'lead');
      end $body$;
    revoke all on function account_by_api_token(bytea) from public;
    grant execute on function account_by_api_token(bytea) to skelby_app;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('drop function account_by_api_token(bytea); drop table api_tokens;');
}
