import type { Knex } from 'knex';

/**
 * The working role reads no password hash but through the function that signs in, changes of a rep only what takes it
 * back, and may see how far the database has come.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    revoke select on accounts from skelby_app;
    grant select (school_id, id, email, name, role) on accounts to skelby_app;

    revoke update on reps from skelby_app;
    grant update (taken_back_at, taken_back_reason, taken_back_by, error_confirmed_by) on reps to skelby_app;

    grant select on skelby_migrations to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
