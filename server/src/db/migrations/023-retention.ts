import type { Knex } from 'knex';

/** How long a school keeps records of pilots who do not fly any more; null: until somebody is forgotten by hand. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table schools add column keep_years smallint check (keep_years between 1 and 30);
    grant select (keep_years), update (keep_years) on schools to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
