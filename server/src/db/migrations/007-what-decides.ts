import type { Knex } from 'knex';

/**
 * Which drills of a plan decide is kept with the plan, since the choice of a cause may change. What is open keeps
 * the drills it was opened with. Reps say which case was drawn, which stage was flown and how wide the opening was.
 */

/** Deciding drills of the causes whose choice has changed, as they were until now. */
const UNTIL_NOW: Readonly<Record<string, string[]>> = {
  'mode-confusion': ['mode-stop-table'],
  'failsafe-setting': ['return-takeover'],
  'heading-fault': ['hold-off-hover', 'surprise-hold-loss'],
  'link-loss': ['return-takeover'],
  wildlife: ['slant-descent'],
  'wet-weather': ['hover-check'],
  'craft-fault': ['hover-check'],
};

export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table plans add column decides text[];
    comment on column plans.decides is 'Drills of the plan that decide, as the cause had them when it was made; null: as it has them now.';
    alter table plans disable trigger only_added;
  `);
  for (const [causeId, decided] of Object.entries(UNTIL_NOW))
    await db.raw(
      `update plans p set decides = array(select d from unnest(p.drill_ids) d where d = any(?))
         from weaknesses w where w.school_id = p.school_id and w.id = p.weakness_id and w.cause_id = ?`,
      [decided as unknown as string, causeId],
    );
  await db.raw(`
    alter table plans enable trigger only_added;
    alter table reps
      add column case_id text,
      add column stage smallint check (stage between 1 and 9),
      add column width_spans double precision check (width_spans > 0);
    comment on column reps.case_id is 'Of a drill whose attempts are cases drawn by lot: which one it was.';
    comment on column reps.width_spans is 'Width of the opening, in spans of the craft that was flown.';
  `);
}

export async function down(): Promise<void> {
  throw new Error('The seventh migration is not taken back: restore a backup instead.');
}
