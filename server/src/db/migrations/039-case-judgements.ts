import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** What each trainer said of a training case, once and without having seen what others said. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'case_judgements',
      `
      account_id uuid not null,
      case_id text not null check (char_length(case_id) <= 60),
      cause_id text not null,
      at timestamptz not null default now(),
      unique (school_id, account_id, case_id),
      ${refers('account_id', 'accounts')}`,
    )}
    grant select, insert on case_judgements to skelby_app;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw('drop table case_judgements;');
}
