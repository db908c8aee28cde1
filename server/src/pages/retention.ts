import type { RetentionPage } from '@skelby/core/pages/people';
import type { SchoolTx } from '../db/in-school';

/** How long records are kept, and pilots who have not flown for longer: whoever may forget looks at each. */
export async function retentionPage({ tx, schoolId }: SchoolTx): Promise<RetentionPage> {
  const { keepYears } = (await tx('schools').where({ id: schoolId }).first('keep_years')) as {
    keepYears: number | null;
  };
  if (keepYears === null) return { keepYears, over: [] };
  const { rows } = (await tx.raw(
    `
    select p.id, p.name, last.day as last_day
      from pilots p
      cross join lateral (
        select coalesce(
          greatest(
            (select max(day) from reps where school_id = p.school_id and pilot_id = p.id),
            (select max(day) from occurrences where school_id = p.school_id and pilot_id = p.id),
            (select max(day) from course_facts where school_id = p.school_id and pilot_id = p.id),
            (select max(day) from flights where school_id = p.school_id and pilot_id = p.id)),
          -- Never flown here: since the pilot was added.
          (select min(at)::date from events where school_id = p.school_id and subject_id = p.id)) as day) as last
     where p.forgotten_at is null and last.day < current_date - make_interval(years => ?)
     order by last.day, p.name`,
    [keepYears],
  )) as { rows: RetentionPage['over'] };
  return { keepYears, over: rows };
}
