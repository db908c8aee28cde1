import type { Knex } from 'knex';
import { schoolTable } from '../school-table';

/**
 * Words that are looked for, beside the key of what they belong to: in a table of their own, since a column would go to
 * every phone with its row. They are read by the school's key, and compared one by one: an index of words would hold those
 * of all schools, and is slower by far where beginnings of words are asked for.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable('search_words', 'of text not null, at timestamptz, cause_id text, words tsvector not null')}
    comment on table search_words is 'Kept by triggers out of other tables: left behind when a school is copied.';

    -- Without accents.
    create function words_of(value text) returns tsvector language sql immutable as $body$
      select to_tsvector('simple', regexp_replace(normalize(coalesce(value, ''), NFD), '[\\u0300-\\u036f]', '', 'g')) $body$;

    create function keep_words(of_school uuid, of_id uuid, of_what text, held tsvector,
        when_at timestamptz default null, of_cause text default null) returns void language sql as $body$
      insert into search_words (school_id, id, of, at, cause_id, words)
        values (of_school, of_id, of_what, when_at, of_cause, held)
      on conflict (school_id, id)
        do update set at = excluded.at, cause_id = excluded.cause_id, words = excluded.words $body$;

    -- Arguments: what it is, and the columns that are looked into.
    create function keep_words_of_row() returns trigger
      language plpgsql security definer set search_path = public, pg_temp as $body$
    begin
      perform keep_words(new.school_id, new.id, tg_argv[0], words_of(
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
      perform keep_words(of_school, of_id, 'entry',
        words_of(concat_ws(' ', entry.note, said ->> 'wentWell', said ->> 'overruleReason',
          said ->> 'damage', jsonb_path_query_array(said, '$.chain[*].words')::text)),
        entry.happened_at, coalesce(entry.confirmed_cause_id, entry.cause_id));
    end $body$;
    -- Argument: the column with the entry's key.
    create function keep_words_of_its_entry() returns trigger
      language plpgsql security definer set search_path = public, pg_temp as $body$
    begin
      perform keep_words_of_entry(new.school_id, (to_jsonb(new) ->> tg_argv[0])::uuid);
      return null;
    end $body$;

    create trigger words_kept after insert or update of name, note on pilots
      for each row execute function keep_words_of_row('pilot', 'name', 'note');
    create trigger words_kept after insert or update of name, note, hazard on sites
      for each row execute function keep_words_of_row('site', 'name', 'note', 'hazard');
    create trigger words_kept after insert or update of name, note on craft
      for each row execute function keep_words_of_row('craft', 'name', 'note');
    create trigger words_kept after insert or update of note, cause_id, confirmed_cause_id, withdrawn_at, happened_at
      on occurrences for each row execute function keep_words_of_its_entry('id');
    create trigger words_kept after insert or update of findings on debriefs
      for each row execute function keep_words_of_its_entry('occurrence_id');

    select keep_words(school_id, id, 'pilot', words_of(concat_ws(' ', name, note))) from pilots;
    select keep_words(school_id, id, 'site', words_of(concat_ws(' ', name, note, hazard))) from sites;
    select keep_words(school_id, id, 'craft', words_of(concat_ws(' ', name, note))) from craft;
    select keep_words_of_entry(school_id, id) from occurrences;

    grant select on search_words to skelby_app;
    revoke all on function words_of(text), keep_words_of_entry(uuid, uuid),
      keep_words(uuid, uuid, text, tsvector, timestamptz, text), keep_words_of_row(), keep_words_of_its_entry() from public;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    drop trigger words_kept on pilots;
    drop trigger words_kept on sites;
    drop trigger words_kept on craft;
    drop trigger words_kept on occurrences;
    drop trigger words_kept on debriefs;
    drop function keep_words_of_row(), keep_words_of_its_entry(),
      keep_words_of_entry(uuid, uuid), keep_words(uuid, uuid, text, tsvector, timestamptz, text), words_of(text);
    drop table search_words;
  `);
}
