import type { Knex } from 'knex';
import { schoolTable } from '../school-table';

/** Where weaknesses stood at an instant, so that a rep need not work its whole life out again. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    ${schoolTable(
      'weakness_checkpoints',
      `
      before timestamptz not null,
      hangs_on text not null,
      opening jsonb not null,
      foreign key (school_id, id) references weaknesses (school_id, id)`,
    )}
    grant select, insert, update, delete on weakness_checkpoints to skelby_app;
    comment on table weakness_checkpoints is 'Worked out, and kept for speed alone: may be emptied at any time. The id is that of the weakness.';
    comment on column weakness_checkpoints.hangs_on is 'Hash of all it hangs on beside the reps flown before it: it holds while this is the same.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
