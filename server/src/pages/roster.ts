import type { FlightsPage } from '@skelby/core/pages/older';
import type { Flight, Roster } from '@skelby/core/pages/pages';
import { UUID } from '@skelby/core/vocabulary/key';
import type { Context } from 'koa';
import type { SchoolTx } from '../db/in-school';
import { badField } from '../problem/problem';
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
    select p.*, f.craft_id as last_craft_id, f.site_id as last_site_id, f.wind_mps as last_wind_mps, f.day as last_flown_on,
      exists (select 1 from course_facts c where c.school_id = p.school_id and c.pilot_id = p.id and c.at > now() - interval '120 days') as on_course
      from pilots p
      left join lateral (select * from flights f where f.school_id = p.school_id and f.pilot_id = p.id order by f.day desc, f.id desc limit 1) f on true
      left join lateral (select max(day) as day from occurrences o where o.school_id = p.school_id and o.pilot_id = p.id and o.withdrawn_at is null) o on true
     order by greatest(f.day, o.day) desc nulls last, p.name`),
    ),
    rowsOf(tx, tx('craft').orderBy('name')),
    rowsOf(tx, tx('sites').orderBy('name')),
    rowsOf<Pick<Roster, 'reporting' | 'methods'>>(
      tx,
      tx('schools').where({ id: schoolId }).select('reporting', 'methods'),
    ),
    trainersOf(school),
  ]);
  return { pilots, craft, sites, ...schools[0]!, trainers };
}

/** So many flights come at once. */
const FLIGHTS_SHOWN = 200;

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
      .limit(FLIGHTS_SHOWN),
  );

/** @throws Problem 422 of a field that is no key */
function keyFrom(query: Context['query'], field: string, what: string): string {
  const key = query[field];
  if (typeof key !== 'string' || !UUID.test(key))
    throw badField(field, `${field} must be the key of ${what}.`);
  return key;
}

/** Flights flown before one of them, of everybody or of one pilot. @throws Problem 422 without a key to begin at */
export async function flightsBefore({ tx }: SchoolTx, { query }: Context): Promise<FlightsPage> {
  const before = keyFrom(query, 'before', 'a flight');
  const pilotId = query['pilot'] === undefined ? null : keyFrom(query, 'pilot', 'a pilot');
  const flights = await rowsOf<Flight>(
    tx,
    tx.raw(
      `select f.*, p.name as pilot_name
         from flights f join pilots p on p.school_id = f.school_id and p.id = f.pilot_id
        where (f.day, f.id) < (select day, id from flights where id = :before)
          and (:pilotId::uuid is null or f.pilot_id = :pilotId)
        order by f.day desc, f.id desc limit :most`,
      { before, pilotId, most: FLIGHTS_SHOWN + 1 },
    ),
  );
  return { flights: flights.slice(0, FLIGHTS_SHOWN), hasMore: flights.length > FLIGHTS_SHOWN };
}
