import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/**
 * Every version of the school's changed standards and own drills, newest first, and how many reps were flown
 * under each.
 */
export const drillVersions = ({ tx }: SchoolTx): Promise<unknown> =>
  rowsOf(
    tx,
    tx.raw(`
    select v.drill_id, v.number, v.fields, v.reason, v.made_at, a.name as by,
           (select count(*) from reps r where r.school_id = v.school_id and r.drill_id = v.drill_id and r.drill_version = v.number and r.drill_version > 0 and r.taken_back_at is null) as reps
      from drill_versions v left join accounts a on a.school_id = v.school_id and a.id = v.account_id
     order by v.drill_id, v.number desc`),
  );
