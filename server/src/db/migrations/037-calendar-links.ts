import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** A calendar program asks by an address alone: one link an account, which opens days and nothing else. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'calendar_links',
      `
      account_id uuid not null,
      token_hash bytea not null unique,
      made_at timestamptz not null default now(),
      last_used_at timestamptz,
      ended_at timestamptz,
      ${refers('account_id', 'accounts')}`,
    )}
    create unique index calendar_links_one on calendar_links (school_id, account_id) where ended_at is null;
    grant select, insert, update (last_used_at, ended_at) on calendar_links to skelby_app;

    create function calendar_by_token(wanted bytea)
      returns table (school_id uuid, account_id uuid, pilot_id uuid, role text, link_id uuid)
      language plpgsql stable security definer set search_path = public, pg_temp as
      $body$ begin
        return query
        select l.school_id, l.account_id, a.pilot_id, a.role, l.id from calendar_links l
          join accounts a on a.school_id = l.school_id and a.id = l.account_id
         where l.token_hash = wanted and l.ended_at is null and a.ended_at is null;
      end $body$;
    revoke all on function calendar_by_token(bytea) from public;
    grant execute on function calendar_by_token(bytea) to skelby_app;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('drop function calendar_by_token(bytea); drop table calendar_links;');
}
