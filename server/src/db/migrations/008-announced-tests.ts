import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** Tests are announced before they are flown; what was announced and got no result was missed. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'test_sets',
      `
      weakness_id uuid not null,
      drill_id text not null,
      side text,
      number smallint not null check (number > 0),
      day date not null,
      at timestamptz not null,
      called_off_at timestamptz,
      account_id uuid,
      ${refers('weakness_id', 'weaknesses')}, ${refers('account_id', 'accounts')}`,
    )}
    create index test_sets_of_weakness on test_sets (school_id, weakness_id, at);
    create trigger only_added before delete or truncate on test_sets for each statement execute function refuse_change();
    grant select, insert, update (called_off_at) on test_sets to skelby_app;
    comment on table test_sets is 'So many tests of one chart, announced to the pilot before the first of them.';
    alter table reps add column test_set_id uuid;
    comment on column reps.test_set_id is 'The announced set it belongs to.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The eighth migration is not taken back: restore a backup instead.');
}
