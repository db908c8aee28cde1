import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/**
 * Clearance by evidence. Every school goes on with the rates and the risk it had, by the second edition of its
 * rule, for what is opened from now on; what is open keeps the rule it was opened under. What a pilot flew with
 * at the opening is stamped: from the history of the pilot where it tells, else as the pilot is now, and marked
 * so.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table clearing_rules
      add column edition smallint not null default 1,
      add column test text not null default 'learning-curve' check (test in ('evidence', 'learning-curve')),
      add column tests_a_day smallint not null default 4,
      add column sides_alike boolean not null default false,
      add column most_days_between_checks smallint not null default 90,
      add column account_id uuid,
      add column reason text not null default '';
    insert into clearing_rules (school_id, id, in_force_from, unacceptable_miss_percent, acceptable_miss_percent, risk_percent,
        planned_reps, pass_days, check_gap_days, edition, test)
      select distinct on (school_id) school_id, gen_random_uuid(), greatest(now(), in_force_from + interval '1 microsecond'),
        unacceptable_miss_percent, acceptable_miss_percent, risk_percent, planned_reps, greatest(pass_days, 2), check_gap_days, 2, 'evidence'
      from clearing_rules order by school_id, in_force_from desc;

    alter table sites add column ceiling_m double precision, add column help text not null default '';
    alter table weaknesses add column limited boolean not null default false;
    comment on column weaknesses.limited is 'On watch, and limited again until a second check is passed.';

    alter table reps
      add column taken_back_by uuid,
      add column error_confirmed_by uuid;
    comment on column reps.error_confirmed_by is 'Somebody else than who took it back says that it was no attempt: a miss counts until then.';

    ${schoolTable(
      'opening_stamps',
      `
      weakness_id uuid not null,
      at timestamptz not null,
      mode text not null,
      wind_limit_mps double precision not null,
      told_by text not null check (told_by in ('opening', 'history', 'pilot-as-now', 'trainer')),
      reason text not null default '',
      account_id uuid,
      ${refers('weakness_id', 'weaknesses')}, ${refers('account_id', 'accounts')}`,
    )}
    create index opening_stamps_of_weakness on opening_stamps (school_id, weakness_id, at);
    create trigger only_added before update or delete or truncate on opening_stamps for each statement execute function refuse_change();
    grant select, insert on opening_stamps to skelby_app;
    comment on table opening_stamps is 'What a pilot flew with when a weakness was opened, and what a trainer stamped since.';

    -- The first change after the opening tells what was there before it.
    insert into opening_stamps (school_id, id, weakness_id, at, mode, wind_limit_mps, told_by)
      select w.school_id, gen_random_uuid(), w.id, w.opened_at,
        coalesce(m.told, p.mode), coalesce(l.told::double precision, p.wind_limit_mps),
        case when a.told is not null then 'history' else 'pilot-as-now' end
      from weaknesses w
      join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
      left join lateral (select e.data -> 'mode' ->> 0 as told from events e
        where e.school_id = w.school_id and e.subject_id = p.id and e.action = 'changed' and e.data -> 'mode' is not null and e.at > w.opened_at
        order by e.at limit 1) m on true
      left join lateral (select e.data -> 'windLimitMps' ->> 0 as told from events e
        where e.school_id = w.school_id and e.subject_id = p.id and e.action = 'changed' and e.data -> 'windLimitMps' is not null and e.at > w.opened_at
        order by e.at limit 1) l on true
      left join lateral (select e.id as told from events e
        where e.school_id = w.school_id and e.subject_id = p.id and e.action in ('added', 'changed') and e.at <= w.opened_at limit 1) a on true;
  `);
}

export async function down(): Promise<void> {
  throw new Error('The sixth migration is not taken back: restore a backup instead.');
}
