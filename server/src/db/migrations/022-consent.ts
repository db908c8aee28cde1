import type { Knex } from 'knex';

/** Who agreed that a pilot's records are kept, a guardian for a minor; blanked with the pilot. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table pilots add column is_minor boolean not null default false,
      add column consent_by text not null default '';
    comment on column pilots.consent_by is 'Who agreed that this is kept; empty: nobody is noted.';
    do $body$
    declare
      body text := pg_get_functiondef('forget_pilot(uuid, uuid, uuid)'::regprocedure);
    begin
      body := replace(body, $old$note = '', forgotten_at = now()$old$, $new$note = '', consent_by = '', forgotten_at = now()$new$);
      body := replace(body, $old$- 'name' - 'note'$old$, $new$- 'name' - 'note' - 'consentBy'$new$);
      if position('consent_by' in body) = 0 or position('consentBy' in body) = 0 then
        raise exception 'forget_pilot is another one than was expected.';
      end if;
      execute body;
    end $body$;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
