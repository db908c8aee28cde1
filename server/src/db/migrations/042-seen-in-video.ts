import type { Knex } from 'knex';

/** Mistakes that were seen in a video of an entry: they steer its debrief on whichever phone it is held. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table occurrences add column seen text[] not null default '{}';
    comment on column occurrences.seen is 'Mistakes that were marked in a video of it; no answer of its debrief.';
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('alter table occurrences drop column seen;');
}
