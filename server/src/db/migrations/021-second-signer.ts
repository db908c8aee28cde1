import type { Knex } from 'knex';

/** A school may ask that a weakness is signed by somebody who counted none of its tests; what is open keeps its rule. */
export async function up(db: Knex): Promise<void> {
  await db.raw('alter table clearing_rules add column second_signer boolean not null default false');
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
