import type { Knex } from 'knex';

/** Keys of JSON under which people write freely, as before, and what to watch out for. */
const FREE = [
  ...[
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
  ],
  ...['task', 'byEye', 'caution', 'hazard'],
];

/** What to watch out for at a site now: whoever flies there next is asked to look at it. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    -- People write freely under this key too: whoever is forgotten goes from it as from the others.
    create or replace function json_without_name(value jsonb, is_free boolean, name_pattern text, instead text)
      returns jsonb language sql immutable as $body$
        select case jsonb_typeof(value)
          when 'object' then (
            select coalesce(jsonb_object_agg(key, json_without_name(
                each.value, key = any (array[${FREE.map((each) => `'${each}'`).join(', ')}]), name_pattern, instead)), '{}')
              from jsonb_each(value) each)
          when 'array' then (
            select coalesce(jsonb_agg(json_without_name(item, is_free, name_pattern, instead) order by place), '[]')
              from jsonb_array_elements(value) with ordinality as items (item, place))
          when 'string' then
            case when is_free then to_jsonb(without_name(value #>> '{}', name_pattern, instead)) else value end
          else value end $body$;
    alter table sites add column hazard text not null default '';
    comment on column sites.hazard is 'Empty: nothing. Stands in every go or no-go there until it is taken out.';
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('alter table sites drop column hazard');
}
