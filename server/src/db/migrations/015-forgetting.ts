import type { Knex } from 'knex';

/** Keys of JSON under which people write freely; ids and figures stand under others. */
const FREE = [
  'name',
  'note',
  'reason',
  'words',
  'mistakes',
  'next',
  'wentWell',
  'overruleReason',
  'damage',
  'help',
  'whom',
  'task',
  'byEye',
  'caution',
];
/** Columns of plain text in which people write freely. */
const FREE_TEXT = ['note', 'reason', 'help', 'name', 'withdrawn_reason', 'taken_back_reason'];

const quoted = (names: readonly string[]): string => names.map((each) => `'${each}'`).join(', ');

/**
 * A school has an owner, its first trainer until somebody else is made one. A pilot can be forgotten: the name and
 * everything written freely of them go, in every table, and what was flown and learnt stays under a number. The guards of
 * what is only ever added to let this one function through, and only while it runs.
 */
export async function up(db: Knex): Promise<void> {
  // A question mark that is not escaped is a binding to Knex, inside of strings too.
  await db.raw(`
    alter table accounts drop constraint accounts_role_check;
    alter table accounts add constraint accounts_role_check check (role in ('owner', 'trainer'));
    update accounts a set role = 'owner'
      where not exists (select 1 from accounts b where b.school_id = a.school_id and b.id < a.id);

    alter table pilots add column forgotten_at timestamptz;

    create or replace function refuse_change() returns trigger language plpgsql as $body$
    begin
      if tg_op = 'UPDATE' and current_setting('skelby.forgetting', true) = 'on' and current_user =
        (select r.rolname from pg_class c join pg_roles r on r.oid = c.relowner where c.oid = tg_relid) then
        return null;
      end if;
      raise exception 'History is only ever added to: % cannot be changed or deleted.', tg_table_name;
    end $body$;

    -- Text with a name in it, in any alphabet's capitals; letters and digits on either side make it another word.
    create function without_name(said text, name_pattern text, instead text) returns text language sql immutable as
      $body$ select regexp_replace(said collate "und-x-icu", name_pattern, instead, 'gi') $body$;
    -- The same in JSON, under the keys where people write freely.
    create function json_without_name(value jsonb, is_free boolean, name_pattern text, instead text)
      returns jsonb language sql immutable as $body$
        select case jsonb_typeof(value)
          when 'object' then (
            select coalesce(jsonb_object_agg(key, json_without_name(
                each.value, key = any (array[${quoted(FREE)}]), name_pattern, instead)), '{}')
              from jsonb_each(value) each)
          when 'array' then (
            select coalesce(jsonb_agg(json_without_name(item, is_free, name_pattern, instead) order by place), '[]')
              from jsonb_array_elements(value) with ordinality as items (item, place))
          when 'string' then
            case when is_free then to_jsonb(without_name(value #>> '{}', name_pattern, instead)) else value end
          else value end $body$;

    create function forget_pilot(wanted uuid, by_account uuid, event_id uuid)
      returns integer language plpgsql security definer set search_path = public, pg_temp as $body$
    declare
      own_school constant uuid := nullif(current_setting('skelby.school', true), '')::uuid;
      blank constant text := '(forgotten)';
      was text;
      instead text;
      name_pattern text;
      changed integer := 1;
      n integer;
      place record;
    begin
      if not exists (
        select 1 from accounts where school_id = own_school and id = by_account and role = 'owner'
      ) then
        raise exception 'Only the owner of a school may forget a pilot.' using errcode = 'insufficient_privilege';
      end if;
      select name into was from pilots
        where school_id = own_school and id = wanted and forgotten_at is null for update;
      if was is null then return 0; end if;
      select 'Forgotten pilot ' || (count(*) + 1) into instead
        from pilots where school_id = own_school and forgotten_at is not null;
      name_pattern := '(\\?<![[:alnum:]])'
        || regexp_replace(was, '([.^$*+\\?()\\[\\]{}|\\\\])', '\\\\\\1', 'g') || '(\\?![[:alnum:]])';
      perform set_config('skelby.forgetting', 'on', true);

      update pilots set name = instead, note = '', forgotten_at = now()
        where school_id = own_school and id = wanted;
      update occurrences
        set note = '', withdrawn_reason = case when withdrawn_reason is null then null else blank end
        where school_id = own_school and pilot_id = wanted;
      get diagnostics n = row_count; changed := changed + n;
      update debriefs d
        set reason = case when d.reason is null then null else blank end,
          findings = d.findings || jsonb_build_object(
            'wentWell', '',
            'overruleReason', case when d.findings ->> 'overruleReason' = '' then '' else blank end,
            'chain', coalesce((
              select jsonb_agg(case when link -> 'causeId' = 'null'::jsonb
                  then link || jsonb_build_object('words', blank) else link end order by nth)
                from jsonb_array_elements(d.findings -> 'chain') with ordinality as links (link, nth)), '[]'))
        from occurrences o
        where d.school_id = own_school and o.school_id = own_school
          and o.id = d.occurrence_id and o.pilot_id = wanted;
      get diagnostics n = row_count; changed := changed + n;
      for place in
        select * from (values ('moves', 'reason'), ('plans', 'reason'), ('opening_stamps', 'reason'),
          ('reps', 'taken_back_reason')) as places (of_table, of_column)
      loop
        execute format('update %1$I t set %2$I = $1 from weaknesses w
            where t.school_id = $2 and w.school_id = $2 and w.id = t.weakness_id and w.pilot_id = $3
              and t.%2$I is not null', place.of_table, place.of_column)
          using blank, own_school, wanted;
        get diagnostics n = row_count; changed := changed + n;
      end loop;
      update events
        set reason = case when reason is null then null else blank end, data = data - 'name' - 'note' - 'reason'
        where school_id = own_school and (pilot_id = wanted or subject_id = wanted);
      get diagnostics n = row_count; changed := changed + n;
      update training_sessions s
        set content = jsonb_set(s.content, '{own}', (
          select coalesce(jsonb_agg(case when said ->> 'pilotId' = wanted::text
              then said || jsonb_build_object('mistakes', '[]'::jsonb, 'next', blank) else said end order by nth), '[]')
            from jsonb_array_elements(s.content -> 'own') with ordinality as all_said (said, nth)))
        where s.school_id = own_school and jsonb_typeof(s.content -> 'own') = 'array'
          and s.content -> 'own' @> jsonb_build_array(jsonb_build_object('pilotId', wanted::text));
      get diagnostics n = row_count; changed := changed + n;
      update pilot_links set revoked_at = now()
        where school_id = own_school and pilot_id = wanted and revoked_at is null;
      get diagnostics n = row_count; changed := changed + n;

      -- The name may stand in what was written of others, too.
      for place in
        select c.table_name as of_table, c.column_name as of_column,
            case when c.data_type = 'jsonb' then 'json_without_name(%2$I, false, $1, $2)'
              else 'without_name(%2$I, $1, $2)' end as what
          from information_schema.columns c
          join information_schema.columns s
            on s.table_schema = 'public' and s.table_name = c.table_name and s.column_name = 'school_id'
          where c.table_schema = 'public' and c.table_name <> 'accounts'
            and (c.data_type = 'jsonb' or c.data_type = 'text' and c.column_name in (${quoted(FREE_TEXT)}))
      loop
        execute format('update %1$I set %2$I = ' || place.what || '
            where school_id = $3 and %2$I::text collate "und-x-icu" ~* $1', place.of_table, place.of_column)
          using name_pattern, instead, own_school;
        get diagnostics n = row_count; changed := changed + n;
      end loop;

      perform set_config('skelby.forgetting', 'off', true);
      insert into events (school_id, id, account_id, action, subject, subject_id, pilot_id, data)
        values (own_school, event_id, by_account, 'forgotten', 'pilot', wanted, wanted,
          jsonb_build_object('rows', changed));
      return changed;
    end $body$;
    revoke all on function forget_pilot(uuid, uuid, uuid) from public;
    grant execute on function forget_pilot(uuid, uuid, uuid) to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
