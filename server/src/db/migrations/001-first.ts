import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table schools (id uuid primary key, name text not null, demo_loaded_on date);
    alter table schools enable row level security;
    create policy own_school on schools to skelby_app using (id = nullif(current_setting('skelby.school', true), '')::uuid);

    ${schoolTable(
      'accounts',
      `
      email text not null unique,
      name text not null,
      password_hash text not null,
      role text not null check (role in ('trainer'))`,
    )}

    ${schoolTable(
      'sessions',
      `
      account_id uuid not null,
      token_hash bytea not null unique,
      created_at timestamptz not null default now(),
      expires_at timestamptz not null,
      ${refers('account_id', 'accounts')}`,
    )}

    ${schoolTable(
      'pilots',
      `
      name text not null,
      stick_layout smallint not null check (stick_layout between 1 and 4),
      mode text not null,
      wind_limit_mps double precision not null check (wind_limit_mps > 0),
      note text not null default ''`,
    )}

    ${schoolTable(
      'craft',
      `
      name text not null,
      mode text not null,
      mass_kg double precision not null,
      span_m double precision not null,
      rotors smallint not null,
      rotor_radius_m double precision not null,
      thrust_to_weight double precision not null,
      top_speed_mps double precision not null,
      has_pause_switch boolean not null,
      note text not null default ''`,
    )}

    ${schoolTable(
      'sites',
      `
      name text not null,
      place text not null,
      tallest_m double precision not null,
      note text not null default ''`,
    )}

    ${schoolTable(
      'flights',
      `
      pilot_id uuid not null,
      craft_id uuid not null,
      site_id uuid not null,
      day date not null,
      packs smallint not null check (packs > 0),
      minutes double precision not null check (minutes > 0),
      wind_mps double precision not null check (wind_mps >= 0),
      ${refers('pilot_id', 'pilots')}, ${refers('craft_id', 'craft')}, ${refers('site_id', 'sites')}`,
    )}
    create index flights_of_pilot on flights (school_id, pilot_id, day desc);

    ${schoolTable(
      'clearing_rules',
      `
      in_force_from timestamptz not null default now(),
      unacceptable_miss_percent smallint not null,
      acceptable_miss_percent smallint not null,
      risk_percent smallint not null,
      planned_reps smallint not null,
      pass_days smallint not null,
      check_gap_days smallint not null`,
    )}

    ${schoolTable(
      'weaknesses',
      `
      pilot_id uuid not null,
      cause_id text not null,
      rule_id uuid not null,
      opened_at timestamptz not null,
      state text not null,
      check_from date,
      check_passed boolean not null default false,
      signed_early boolean not null default false,
      rungs double precision[] not null default '{0,0,0,0,0}',
      unique (school_id, pilot_id, cause_id),
      ${refers('pilot_id', 'pilots')}, ${refers('rule_id', 'clearing_rules')}`,
    )}
    comment on column weaknesses.state is 'Worked out from moves and reps after every change; kept here so that lists need not work it out again.';

    ${schoolTable(
      'occurrences',
      `
      pilot_id uuid not null,
      kind text not null check (kind in ('crash', 'near-miss')),
      cause_id text not null,
      note text not null default '',
      craft_id uuid, site_id uuid,
      wind_mps double precision,
      happened_at timestamptz not null,
      day date not null,
      logged_by uuid,
      confirmed_cause_id text,
      confirmed_at timestamptz,
      confirmed_by uuid,
      weakness_id uuid,
      withdrawn_at timestamptz,
      withdrawn_reason text,
      ${refers('pilot_id', 'pilots')}, ${refers('craft_id', 'craft')}, ${refers('site_id', 'sites')},
      ${refers('weakness_id', 'weaknesses')}, ${refers('logged_by', 'accounts')}, ${refers('confirmed_by', 'accounts')},
      check ((confirmed_cause_id is null) = (weakness_id is null)),
      check (withdrawn_at is null or confirmed_cause_id is null)`,
    )}
    create index occurrences_of_pilot on occurrences (school_id, pilot_id, happened_at desc);
    create index occurrences_to_debrief on occurrences (school_id, happened_at) where confirmed_cause_id is null and withdrawn_at is null;

    ${schoolTable(
      'moves',
      `
      weakness_id uuid not null,
      kind text not null,
      at timestamptz not null,
      recorded_at timestamptz not null default now(),
      account_id uuid,
      occurrence_id uuid,
      undoes uuid,
      reason text,
      ${refers('weakness_id', 'weaknesses')}, ${refers('occurrence_id', 'occurrences')},
      ${refers('undoes', 'moves')}, ${refers('account_id', 'accounts')}`,
    )}
    create index moves_of_weakness on moves (school_id, weakness_id);

    ${schoolTable(
      'plans',
      `
      weakness_id uuid not null,
      drill_ids text[] not null,
      reason text not null default '',
      made_at timestamptz not null default clock_timestamp(),
      account_id uuid,
      ${refers('weakness_id', 'weaknesses')}, ${refers('account_id', 'accounts')}`,
    )}
    create index plans_of_weakness on plans (school_id, weakness_id, made_at desc);

    ${schoolTable(
      'reps',
      `
      weakness_id uuid not null,
      pilot_id uuid not null,
      drill_id text not null,
      purpose text not null,
      met boolean not null,
      miss_reason text,
      side text,
      band text not null,
      flown_on text not null,
      mode text not null,
      pilot_relative boolean not null,
      pack smallint not null,
      day date not null,
      flown_at timestamptz not null,
      account_id uuid,
      taken_back_at timestamptz,
      taken_back_reason text,
      ${refers('weakness_id', 'weaknesses')}, ${refers('pilot_id', 'pilots')}, ${refers('account_id', 'accounts')}`,
    )}
    create index reps_of_weakness on reps (school_id, weakness_id, flown_at);
    create index reps_of_pilot on reps (school_id, pilot_id, flown_at desc);

    ${schoolTable(
      'events',
      `
      at timestamptz not null default clock_timestamp(),
      account_id uuid,
      action text not null,
      subject text not null,
      subject_id uuid not null,
      pilot_id uuid,
      reason text,
      data jsonb not null default '{}'`,
    )}
    create index events_of_subject on events (school_id, subject_id, at);

    create function refuse_change() returns trigger language plpgsql as $body$
    begin
      raise exception 'History is only ever added to: % cannot be changed or deleted.', tg_table_name;
    end $body$;
    create trigger only_added before update or delete or truncate on events for each statement execute function refuse_change();
    create trigger only_added before update or delete or truncate on moves for each statement execute function refuse_change();
    create trigger only_added before update or delete or truncate on plans for each statement execute function refuse_change();

    -- Sign-in has to find the school before it can be in one. These two see across schools, and nothing else does.
    create function account_by_email(wanted text)
      returns table (school_id uuid, account_id uuid, name text, password_hash text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, a.password_hash from accounts a where a.email = wanted $body$;
    create function session_by_token(wanted bytea)
      returns table (school_id uuid, account_id uuid, name text, school_name text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, s.name from sessions x
               join accounts a on a.school_id = x.school_id and a.id = x.account_id
               join schools s on s.id = x.school_id
             where x.token_hash = wanted and x.expires_at > now() $body$;
    revoke all on function account_by_email(text), session_by_token(bytea) from public;

    grant execute on function account_by_email(text), session_by_token(bytea) to skelby_app;
    grant select on all tables in schema public to skelby_app;
    grant insert, update on pilots, craft, sites, flights, weaknesses, occurrences, reps to skelby_app;
    grant insert on clearing_rules, moves, plans, events to skelby_app;
    grant insert, delete on sessions to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('The first migration is not taken back: restore a backup instead.');
}
