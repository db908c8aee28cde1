import type { Knex } from 'knex';

/** A rep may be judged from what the craft has written down; it counts as one by eye does, and says what it was by. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table reps add column judged_by text check (judged_by in ('flight'));
    comment on column reps.judged_by is 'What a rep was judged by; null: by eye.';
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('alter table reps drop column judged_by');
}
