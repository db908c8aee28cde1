import type { Knex } from 'knex';

/** What pages ask for costs the same behind a thousand records as behind ten. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table weakness_checkpoints add column curves jsonb not null default '{}';
    comment on column weakness_checkpoints.curves is 'Last points of its curves up to then, for drawing alone.';

    create index reps_of_drill on reps (school_id, pilot_id, drill_id, flown_at desc);
    create index reps_met on reps (school_id, pilot_id, drill_id) where met and taken_back_at is null;
    create index reps_open_slips on reps (school_id, weakness_id) where taken_back_at is not null and error_confirmed_by is null and not met;
    create index reps_of_version on reps (school_id, drill_id, drill_version) where drill_version > 0;
    create index flights_of_day on flights (school_id, day desc);
    create index occurrences_of_weakness on occurrences (school_id, weakness_id) where weakness_id is not null;
    create index weaknesses_by_state on weaknesses (school_id, state);
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
