import type { Knex } from 'knex';

/** A pilot who flies already: what was shown before anything was counted here is not asked for again. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table pilots add column shown text[] not null default '{}';
    comment on column pilots.shown is 'Drills that were shown before anything was counted here; a trainer says so.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The tenth migration is not taken back: restore a backup instead.');
}
