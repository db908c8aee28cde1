import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { trainersOf } from '../facts/trainers';

/**
 * Everything a form picks from: pilots (most recently flown or logged first, with their last flight), craft,
 * sites.
 */
export async function roster(school: SchoolTx) {
  const { tx, schoolId } = school;
  const [pilots, craft, sites, schools, trainers] = await Promise.all([
    rowsOf(
      tx,
      tx.raw(`
    select p.*, f.craft_id as last_craft_id, f.site_id as last_site_id, f.wind_mps as last_wind_mps, f.day as last_flown_on
      from pilots p
      left join lateral (select * from flights f where f.school_id = p.school_id and f.pilot_id = p.id order by f.day desc, f.id desc limit 1) f on true
      left join lateral (select max(day) as day from occurrences o where o.school_id = p.school_id and o.pilot_id = p.id and o.withdrawn_at is null) o on true
     order by greatest(f.day, o.day) desc nulls last, p.name`),
    ),
    rowsOf(tx, tx('craft').orderBy('name')),
    rowsOf(tx, tx('sites').orderBy('name')),
    rowsOf<{ readonly reporting: unknown }>(tx, tx('schools').where({ id: schoolId }).select('reporting')),
    trainersOf(school),
  ]);
  return { pilots, craft, sites, reporting: schools[0]!.reporting, trainers };
}

/** The last flights flown, newest first. */
export const recentFlights = ({ tx }: SchoolTx) =>
  rowsOf(
    tx,
    tx('flights as f')
      .join('pilots as p', (on) => on.on('p.school_id', 'f.school_id').andOn('p.id', 'f.pilot_id'))
      .select('f.*', 'p.name as pilot_name')
      .orderBy([
        { column: 'f.day', order: 'desc' },
        { column: 'f.id', order: 'desc' },
      ])
      .limit(200),
  );
