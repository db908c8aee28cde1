import type { Knex } from 'knex';

/**
 * Drills of the hands are decided with position hold off by whoever flies so. What is there flies as it did: nobody is
 * taken to fly with hold off who was not asked. A confirmation says on which sides it happened, and a stamp and a rep
 * which craft was flown.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table pilots add column hold_off boolean not null default false;
    comment on column pilots.hold_off is 'Flies with position hold off too: drills that have a form for that are decided by it.';
    alter table opening_stamps
      add column hold_off boolean not null default false,
      add column craft_id uuid,
      add foreign key (school_id, craft_id) references craft (school_id, id);
    alter table moves add column happened_on text[];
    comment on column moves.happened_on is 'Of a confirmation: sides of drills on which it happened; null: not told.';
    alter table reps
      add column craft_id uuid,
      add foreign key (school_id, craft_id) references craft (school_id, id);
    comment on column reps.craft_id is 'Which craft was flown; null: not said.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The eleventh migration is not taken back: restore a backup instead.');
}
