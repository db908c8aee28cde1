import { addDays } from '@skelby/core/vocabulary/day';
import type { Knex } from 'knex';
import { addSchool, addTrainer } from '../db/add-school';
import { withinSchool } from '../db/in-school';
import { judgeCases } from './judged';
import { DEMO_PILOTS, DEMO_SCHOOL, DEMO_TRAINERS } from './school';
import { Season, SEASON_DAYS } from './season';
import { SeasonBook } from './season-book';

/**
 * Loads the demo school unless it is there already; dates run up to the day of loading.
 * @returns whether it was loaded
 */
export async function loadDemo(db: Knex, now: Date): Promise<boolean> {
  if (await db('schools').whereNotNull('demo_loaded_on').first()) return false;
  const today = now.toISOString().slice(0, 10);
  await db.transaction(async (tx) => {
    const schoolId = await addSchool(tx, {
      name: DEMO_SCHOOL,
      demoLoadedOn: today,
      ruleFrom: new Date(`${addDays(today, -SEASON_DAYS - 30)}T00:00:00Z`),
    });
    const accounts: string[] = [];
    for (const trainer of DEMO_TRAINERS) accounts.push(await addTrainer(tx, schoolId, trainer));
    await withinSchool(tx, { schoolId, accountId: accounts[0]! }, (school) =>
      new Season(new SeasonBook(school, today), DEMO_PILOTS.length, true).write(),
    );
    await withinSchool(tx, { schoolId, accountId: accounts[1]! }, judgeCases);
  });
  // A season is written down in one go; in the story everything came in as it was flown.
  await db('reps').update({ recordedAt: db.ref('flown_at') });
  await db.raw(`
    alter table moves disable trigger only_added;
    update moves set recorded_at = at;
    alter table moves enable trigger only_added;`);
  return true;
}
