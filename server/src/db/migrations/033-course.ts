import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** What is said of a pilot on the course: only ever added to, but that a forgotten pilot's words go. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'course_facts',
      `
      account_id uuid not null,
      pilot_id uuid not null,
      kind text not null check (kind in ('rep', 'test', 'shown', 'taken-back')),
      drill_id text not null,
      side text,
      met boolean not null,
      miss_reason text,
      flown_on text not null check (flown_on in ('craft', 'simulator')),
      band text not null,
      -- Of what is taken back.
      fact_id uuid,
      reason text not null default '',
      day date not null,
      at timestamptz not null,
      recorded_at timestamptz not null default now(),
      ${refers('account_id', 'accounts')},
      ${refers('pilot_id', 'pilots')},
      ${refers('fact_id', 'course_facts')}`,
    )}
    create index course_facts_of_pilot on course_facts (school_id, pilot_id, at);
    grant select, insert, update (reason) on course_facts to skelby_app;

    create function refuse_course_change() returns trigger language plpgsql as $body$
    begin
      -- Everything else of it is nobody's to change: the role that asks was given this one column.
      if new.reason <> '(forgotten)' and current_setting('skelby.forgetting', true) is distinct from 'on' then
        raise exception 'What was said on the course is only ever added to.';
      end if;
      return new;
    end $body$;
    create trigger course_facts_stay before update on course_facts
      for each row execute function refuse_course_change();
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    drop table course_facts;
    drop function refuse_course_change();
  `);
}
