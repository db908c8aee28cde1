import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/**
 * Debriefs with every version kept, the school's own experience and units, and what the sums need to know of
 * a craft.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table schools add column length_unit text not null default 'm', add column speed_unit text not null default 'm/s';
    grant update (length_unit, speed_unit) on schools to skelby_app;

    alter table craft
      add column top_speed_slow_mps double precision, add column top_speed_fast_mps double precision,
      add column lean_slow_deg double precision, add column lean_normal_deg double precision, add column lean_fast_deg double precision,
      add column endurance_min double precision,
      add column sensor_sides text[] not null default '{}', add column sensors_in_fast boolean not null default false,
      add column has_height_hold boolean, add column has_position_hold boolean, add column has_pilot_relative boolean, add column has_motor_stop boolean;
    alter table sites add column altitude_m double precision;

    ${schoolTable(
      'debriefs',
      `
      occurrence_id uuid not null,
      number integer not null check (number > 0),
      state text not null check (state in ('open', 'closed')),
      findings jsonb not null,
      proposed_cause_id text,
      lesson jsonb,
      reason text,
      at timestamptz not null,
      recorded_at timestamptz not null default clock_timestamp(),
      account_id uuid,
      unique (school_id, occurrence_id, number),
      ${refers('occurrence_id', 'occurrences')}, ${refers('account_id', 'accounts')}`,
    )}
    comment on column debriefs.lesson is 'What this version teaches the ranking; null: nothing.';
    create trigger only_added before update or delete or truncate on debriefs for each statement execute function refuse_change();
    grant select, insert on debriefs to skelby_app;

    ${schoolTable(
      'experiences',
      `
      enabled boolean not null default true,
      lessons integer not null default 0,
      counts jsonb not null,
      changed_at timestamptz not null default clock_timestamp()`,
    )}
    grant select, insert, update on experiences to skelby_app;

    -- A cause confirmed elsewhere and brought in from a file opens no weakness by itself.
    alter table occurrences add column imported_at timestamptz;
    alter table occurrences drop constraint occurrences_check;
    alter table occurrences add check (weakness_id is null or confirmed_cause_id is not null);
    alter table occurrences add check (confirmed_cause_id is null or weakness_id is not null or imported_at is not null);
  `);
}

export async function down(): Promise<void> {
  throw new Error('The second migration is not taken back: restore a backup instead.');
}
