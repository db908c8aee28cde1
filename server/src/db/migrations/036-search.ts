import type { Knex } from 'knex';
import { schoolTable } from '../school-table';

/**
 * One index for all that is looked for by words. Row level security keeps an index of words from being used, since
 * what compares them is not known to keep silent: so the words stand in a table of their own, which no role of the
 * service reads, and one function finds keys in it, of the school that asks alone. The rows of these keys are then read
 * like any others.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable('search_words', 'of text not null, at timestamptz, words tsvector not null')}
    comment on table search_words is 'Kept by triggers out of other tables: left behind when a school is copied.';
    create index search_words_found on search_words using gin (words);

    -- Without accents; the school is a word too, so that one index narrows down to it.
    create function words_of(school uuid, value text) returns tsvector language sql immutable as $body$
      select to_tsvector('simple', regexp_replace(normalize(coalesce(value, ''), NFD), '[\\u0300-\\u036f]', '', 'g'))
        || array_to_tsvector(array['school:' || school::text]) $body$;

    create function keep_words(of_school uuid, of_id uuid, of_what text, when_at timestamptz, held tsvector)
      returns void language sql as $body$
        insert into search_words (school_id, id, of, at, words) values (of_school, of_id, of_what, when_at, held)
        on conflict (school_id, id) do update set at = excluded.at, words = excluded.words $body$;

    -- Arguments: what it is, and the columns that are looked into.
    create function keep_words_of_row() returns trigger
      language plpgsql security definer set search_path = public, pg_temp as $body$
    begin
      perform keep_words(new.school_id, new.id, tg_argv[0], null, words_of(new.school_id,
        (select string_agg(to_jsonb(new) ->> tg_argv[i], ' ') from generate_series(1, tg_nargs - 1) i)));
      return null;
    end $body$;

    -- Of its latest debrief what somebody wrote, and the words of its chain.
    create function keep_words_of_entry(of_school uuid, of_id uuid) returns void language plpgsql as $body$
    declare
      entry record;
      said jsonb;
    begin
      select * into entry from occurrences where school_id = of_school and id = of_id;
      if entry.withdrawn_at is not null then
        delete from search_words where school_id = of_school and id = of_id;
        return;
      end if;
      select findings into said from debriefs
        where school_id = of_school and occurrence_id = of_id order by number desc limit 1;
      perform keep_words(of_school, of_id, 'entry', entry.happened_at,
        words_of(of_school, concat_ws(' ', entry.note, said ->> 'wentWell', said ->> 'overruleReason',
          said ->> 'damage', jsonb_path_query_array(said, '$.chain[*].words')::text))
        || array_to_tsvector(array['cause:' || coalesce(entry.confirmed_cause_id, entry.cause_id)]));
    end $body$;
    create function keep_words_of_occurrence() returns trigger
      language plpgsql security definer set search_path = public, pg_temp as $body$
    begin
      perform keep_words_of_entry(new.school_id, new.id);
      return null;
    end $body$;
    create function keep_words_of_debrief() returns trigger
      language plpgsql security definer set search_path = public, pg_temp as $body$
    begin
      perform keep_words_of_entry(new.school_id, new.occurrence_id);
      return null;
    end $body$;

    create trigger words_kept after insert or update of name, note on pilots
      for each row execute function keep_words_of_row('pilot', 'name', 'note');
    create trigger words_kept after insert or update of name, note, hazard on sites
      for each row execute function keep_words_of_row('site', 'name', 'note', 'hazard');
    create trigger words_kept after insert or update of name, note on craft
      for each row execute function keep_words_of_row('craft', 'name', 'note');
    create trigger words_kept after insert or update of note, cause_id, confirmed_cause_id, withdrawn_at, happened_at
      on occurrences for each row execute function keep_words_of_occurrence();
    create trigger words_kept after insert or update of findings on debriefs
      for each row execute function keep_words_of_debrief();

    select keep_words(school_id, id, 'pilot', null, words_of(school_id, concat_ws(' ', name, note))) from pilots;
    select keep_words(school_id, id, 'site', null, words_of(school_id, concat_ws(' ', name, note, hazard))) from sites;
    select keep_words(school_id, id, 'craft', null, words_of(school_id, concat_ws(' ', name, note))) from craft;
    select keep_words_of_entry(school_id, id) from occurrences;

    -- Of each kind the newest. @param wanted as to_tsquery has it; empty: causes alone
    create function found_words(wanted text, causes text[], most integer)
      returns table (of text, id uuid)
      language plpgsql stable security definer set search_path = public, pg_temp as $body$
    #variable_conflict use_column
    declare
      own_school constant text := nullif(current_setting('skelby.school', true), '');
      sought tsquery := to_tsquery('simple', wanted);
      named tsquery := (select string_agg(quote_literal('cause:' || each), ' | ') from unnest(causes) each)::tsquery;
    begin
      if own_school is null then return; end if;
      sought := case when named is null then sought when numnode(sought) = 0 then named else sought || named end;
      sought := quote_literal('school:' || own_school)::tsquery && sought;
      return query select f.of, f.id from (
        select s.of, s.id, row_number() over (partition by s.of order by s.at desc nulls last, s.id desc) as nth
          from search_words s where s.words @@ sought) f where f.nth <= most;
    end $body$;

    revoke all on search_words from skelby_app;
    revoke all on function found_words(text, text[], integer), words_of(uuid, text), keep_words_of_entry(uuid, uuid),
      keep_words(uuid, uuid, text, timestamptz, tsvector), keep_words_of_row(), keep_words_of_occurrence(),
      keep_words_of_debrief() from public;
    grant execute on function found_words(text, text[], integer) to skelby_app;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    drop function found_words(text, text[], integer);
    drop trigger words_kept on pilots;
    drop trigger words_kept on sites;
    drop trigger words_kept on craft;
    drop trigger words_kept on occurrences;
    drop trigger words_kept on debriefs;
    drop function keep_words_of_row(), keep_words_of_occurrence(), keep_words_of_debrief(),
      keep_words_of_entry(uuid, uuid), keep_words(uuid, uuid, text, timestamptz, tsvector), words_of(uuid, text);
    drop table search_words;
  `);
}
