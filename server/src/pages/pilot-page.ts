import { knownOf } from '../facts/known-of-pilot';
import type { SchoolTx } from '../db/in-school';
import { notFound } from '../problem/problem';
import { linksOf } from './pilot-links';

const FLIGHTS_SHOWN = 30;
/** More than are shown: a phone may take some back. */
const VALUES_SENT = 20;

/** Everything about one pilot: weaknesses, occurrences, reps by drill, and what was flown. */
export async function pilotPage(school: SchoolTx, id: string) {
  const { tx } = school;
  const pilot = (await tx('pilots').where({ id }).first()) as unknown;
  if (!pilot) throw notFound('pilot');
  const reps = (await tx.raw(
    `
    select drill_id, purpose, count(*) as reps, count(*) filter (where met) as met, max(day) as last_day,
      coalesce(to_json((array_agg(json_build_object('id', id, 'flownAt', to_char(flown_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'met', met, 'value', measure)
        order by flown_at desc, id desc) filter (where measure is not null))[1:?]), '[]') as values
      from reps where pilot_id = ? and taken_back_at is null group by drill_id, purpose order by max(flown_at) desc`,
    [VALUES_SENT, id],
  )) as { rows: unknown[] };
  const flown = (await tx.raw(
    'select count(*) as flights, coalesce(sum(packs), 0) as packs, coalesce(sum(minutes), 0) as minutes, min(day) as since from flights where pilot_id = ?',
    [id],
  )) as { rows: unknown[] };
  return {
    pilot,
    known: await knownOf(school, id, null),
    weaknesses: await tx('weaknesses').where({ pilotId: id }).orderBy('opened_at', 'desc'),
    occurrences: await tx('occurrences').where({ pilotId: id }).orderBy('happened_at', 'desc'),
    reps: reps.rows,
    flown: flown.rows[0],
    links: await linksOf(school, id),
    flights: await tx('flights')
      .where({ pilotId: id })
      .orderBy([
        { column: 'day', order: 'desc' },
        { column: 'id', order: 'desc' },
      ])
      .limit(FLIGHTS_SHOWN),
  };
}
