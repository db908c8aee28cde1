import type { Knex } from 'knex';

/** Occurrences of another time, brought in from files, can be settled at once: they stay on record and ask for no debrief. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table occurrences add column settling_id uuid;
    create index occurrences_settled on occurrences (school_id, settling_id) where settling_id is not null;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
