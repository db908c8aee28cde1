import type { Knex } from 'knex';

/** When a rep came in stands beside when it was flown; and the history is read newest first. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table reps add column recorded_at timestamptz;
    update reps r set recorded_at = coalesce((select min(e.at) from events e
      where e.school_id = r.school_id and e.subject = 'rep' and e.action = 'recorded' and e.subject_id = r.id), r.flown_at);
    alter table reps alter column recorded_at set default clock_timestamp(), alter column recorded_at set not null;
    create index events_newest on events (school_id, at desc, id desc);
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
