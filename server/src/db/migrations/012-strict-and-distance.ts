import type { Knex } from 'knex';

/** A school may choose the strict test; a rep says how far from the pilot it was flown. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table clearing_rules drop constraint clearing_rules_test_check;
    alter table clearing_rules
      add constraint clearing_rules_test_check check (test in ('evidence', 'strict', 'learning-curve'));
    alter table reps add column distance_m double precision check (distance_m > 0);
    comment on column reps.distance_m is 'How far from the pilot it was flown, m; null: not said.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The twelfth migration is not taken back: restore a backup instead.');
}
