import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/**
 * What work without signal needs: commands are done once, edits say what they were based on, and a weakness
 * opened twice answers to both names.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${['pilots', 'craft', 'sites', 'flights', 'occurrences'].map((table) => `alter table ${table} add column revision integer not null default 1;`).join('\n    ')}

    alter table pilots add column track text not null default 'assist-down' check (track in ('assist-down', 'manual-first'));
    alter table reps
      add column level smallint not null default 0 check (level between -2 and 1),
      add column measure double precision,
      add column session_id uuid,
      add column drill_version integer not null default 0;
    comment on column reps.drill_version is 'Version of the drill''s standard that the rep was flown under; 0: the house standard.';
    comment on column reps.level is 'How hard the rep was set, in steps from the standard; only reps at the standard, 0, are tests or checks.';
    comment on column reps.measure is 'What was measured, in the SI unit of the drill; null: judged by eye.';

    ${schoolTable(
      'commands',
      `
      account_id uuid,
      path text not null,
      recorded_at timestamptz not null default clock_timestamp(),
      ${refers('account_id', 'accounts')}`,
    )}
    comment on table commands is 'Keys of commands from phones that have been carried out; the same key again does nothing.';
    grant select, insert on commands to skelby_app;

    ${schoolTable(
      'training_sessions',
      `
      day date not null,
      content jsonb not null,
      account_id uuid,
      changed_at timestamptz not null default now(),
      ${refers('account_id', 'accounts')}`,
    )}
    create index training_sessions_by_day on training_sessions (school_id, day desc);
    grant select, insert, update on training_sessions to skelby_app;

    ${schoolTable(
      'drill_versions',
      `
      drill_id text not null,
      number integer not null check (number > 0),
      fields jsonb not null,
      reason text not null,
      made_at timestamptz not null default clock_timestamp(),
      account_id uuid,
      unique (school_id, drill_id, number),
      ${refers('account_id', 'accounts')}`,
    )}
    create trigger only_added before update or delete or truncate on drill_versions for each statement execute function refuse_change();
    grant select, insert on drill_versions to skelby_app;

    ${schoolTable(
      'pilot_links',
      `
      pilot_id uuid not null,
      token_hash bytea not null unique,
      made_at timestamptz not null default now(),
      expires_at timestamptz not null,
      revoked_at timestamptz,
      account_id uuid,
      ${refers('pilot_id', 'pilots')}, ${refers('account_id', 'accounts')}`,
    )}
    comment on table pilot_links is 'Private links to a pilot''s own page: only a hash of the token is kept.';
    grant select, insert, update on pilot_links to skelby_app;
    -- Like a session, a link has to find its school before it can be in one.
    create function pilot_by_token(wanted bytea)
      returns table (school_id uuid, pilot_id uuid, link_id uuid)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select l.school_id, l.pilot_id, l.id from pilot_links l
             where l.token_hash = wanted and l.revoked_at is null and l.expires_at > now() $body$;
    revoke all on function pilot_by_token(bytea) from public;
    grant execute on function pilot_by_token(bytea) to skelby_app;

    ${schoolTable(
      'weakness_aliases',
      `
      weakness_id uuid not null,
      ${refers('weakness_id', 'weaknesses')}`,
    )}
    comment on table weakness_aliases is 'Two trainers out of signal opened the same weakness under keys of their own: the second key leads to the first.';
    grant select, insert on weakness_aliases to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('The third migration is not taken back: restore a backup instead.');
}
