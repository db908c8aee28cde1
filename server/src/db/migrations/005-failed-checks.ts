import type { Knex } from 'knex';

/**
 * A check that failed stays failed: the reps with which it did are kept, since what is changed about a pilot
 * later would judge them otherwise.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table weaknesses add column failed_at uuid[] not null default '{}';
    comment on column weaknesses.failed_at is 'Reps with which a check had failed when the pilot was edited, as they were judged until then. Only ever added to.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The fifth migration is not taken back: restore a backup instead.');
}
