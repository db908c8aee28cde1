import type { Knex } from 'knex';

/** How a school teaches where instructors differ, what a pilot is taught otherwise, and by which a weakness was begun. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table schools add column methods jsonb not null default '{}' check (jsonb_typeof(methods) = 'object');
    grant select (methods), update (methods) on schools to skelby_app;
    alter table pilots add column methods jsonb not null default '{}' check (jsonb_typeof(methods) = 'object');
    alter table opening_stamps add column taught jsonb check (jsonb_typeof(taught) = 'object');
    comment on column schools.methods is 'How the school teaches where instructors differ; what is not in it is the usual way.';
    comment on column pilots.methods is 'What this pilot is taught otherwise; what is not in it is the school''s way.';
    comment on column opening_stamps.taught is 'How the pilot was taught when the weakness was opened; null: nobody kept it.';
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    alter table opening_stamps drop column taught;
    alter table pilots drop column methods;
    alter table schools drop column methods;
  `);
}
