import type { Knex } from 'knex';
import { refers, schoolTable } from '../school-table';

/** What work without signal needs: commands are done once, edits say what they were based on, and a weakness opened twice answers to both names. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${['pilots', 'craft', 'sites', 'flights', 'occurrences'].map((table) => `alter table ${table} add column revision integer not null default 1;`).join('\n    ')}

    ${schoolTable('commands', `
      account_id uuid,
      path text not null,
      recorded_at timestamptz not null default clock_timestamp(),
      ${refers('account_id', 'accounts')}`)}
    comment on table commands is 'Keys of commands from phones that have been carried out; the same key again does nothing.';
    grant select, insert on commands to skelby_app;

    ${schoolTable('weakness_aliases', `
      weakness_id uuid not null,
      ${refers('weakness_id', 'weaknesses')}`)}
    comment on table weakness_aliases is 'Two trainers out of signal opened the same weakness under keys of their own: the second key leads to the first.';
    grant select, insert on weakness_aliases to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('The third migration is not taken back: restore a backup instead.');
}
