import type { Knex } from 'knex';

/** What a school has to report, to whom, how soon: a short list that is set as a whole. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table schools add column reporting jsonb not null default '[]';
    grant update (reporting) on schools to skelby_app;
    comment on column schools.reporting is 'What has to be reported after an occurrence, to whom, within how many hours.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The ninth migration is not taken back: restore a backup instead.');
}
