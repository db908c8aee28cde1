import type { Knex } from 'knex';

const REVISED = ['pilots', 'craft', 'sites', 'flights', 'occurrences', 'training_sessions'];

/**
 * Sessions have revisions too, and a record knows the phone of its last edits: a phone that edits twice
 * before it reads again does not clash with itself.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table training_sessions add column revision integer not null default 1;
    ${REVISED.map(
      (table) => `
    alter table ${table} add column run_of uuid, add column run_from integer;
    comment on column ${table}.run_of is 'The phone that made every revision after run_from; null: made without one.';`,
    ).join('')}
  `);
}

export async function down(): Promise<void> {
  throw new Error('The fourth migration is not taken back: restore a backup instead.');
}
