import type { Knex } from 'knex';
import { schoolTable } from '../school-table';

/** The key by which a school signs records that leave it, made when the first one does. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'school_keys',
      `
      private_key text not null,
      certificate text not null,
      made_at timestamptz not null default now()`,
    )}
    grant select, insert on school_keys to skelby_app;
    comment on table school_keys is 'What a school signs its records with: the oldest holds. No copy of one school takes it along.';
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('drop table school_keys;');
}
