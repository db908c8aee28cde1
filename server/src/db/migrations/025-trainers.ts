import type { Knex } from 'knex';

/** Who trains a pilot; empty: every trainer of the school. */
export async function up(db: Knex): Promise<void> {
  await db.raw("alter table pilots add column trainer_ids uuid[] not null default '{}'");
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
