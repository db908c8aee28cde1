import type { Knex } from 'knex';

/** A private link is seen when it was used, may belong to its first device, and tells hour and place only where it may. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table pilot_links
      add column last_used_at timestamptz,
      add column binds boolean not null default false,
      add column device_hash bytea,
      add column tells_when boolean not null default false;
    -- What was passed on before goes on telling what it told.
    update pilot_links set tells_when = true;

    drop function pilot_by_token(bytea);
    create function pilot_by_token(wanted bytea)
      returns table (school_id uuid, pilot_id uuid, link_id uuid, binds boolean, device_hash bytea, tells_when boolean)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select l.school_id, l.pilot_id, l.id, l.binds, l.device_hash, l.tells_when from pilot_links l
             where l.token_hash = wanted and l.revoked_at is null and l.expires_at > now() $body$;
    revoke all on function pilot_by_token(bytea) from public;
    grant execute on function pilot_by_token(bytea) to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
