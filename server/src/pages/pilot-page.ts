import { rowsBy } from '../facts/by';
import { knownOfEach, type KnownOfPilots } from '../facts/known-of-pilot';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { badField, notFound } from '../problem/problem';
import type { Occurrence, PilotPage } from '@skelby/core/pages/pages';
import type { OccurrencesPage } from '@skelby/core/pages/older';
import { UUID } from '@skelby/core/vocabulary/key';
import type { Context } from 'koa';
import { courseFactsOf } from './course';
import { linksOf } from './pilot-links';

const FLIGHTS_SHOWN = 30;
const OCCURRENCES_SHOWN = 60;
/** More than are shown: a phone may take some back. */
const VALUES_SENT = 20;

interface OfPilot {
  readonly pilotId: string;
}
const NEVER_FLOWN = { flights: 0, packs: 0, minutes: 0, since: null };
const NOTHING_OCCURRED: PilotPage['occurred'] = { all: 0, crashes: 0, nearMisses: 0 };

/** The occurrences of a pilot before one of them, newest first, a page at a time. */
export async function occurrencesBefore(
  { tx }: SchoolTx,
  pilotId: string,
  { query }: Context,
): Promise<OccurrencesPage> {
  const { before } = query;
  if (typeof before !== 'string' || !UUID.test(before))
    throw badField('before', 'before must be the key of an occurrence.');
  const { rows } = (await tx.raw(
    `select * from occurrences
      where pilot_id = ? and (happened_at, id) < (select happened_at, id from occurrences where id = ?)
      order by happened_at desc, id desc limit ?`,
    [pilotId, before, OCCURRENCES_SHOWN + 1],
  )) as { rows: Occurrence[] };
  return { occurrences: rows.slice(0, OCCURRENCES_SHOWN), hasMore: rows.length > OCCURRENCES_SHOWN };
}

/** Everything about one pilot: weaknesses, occurrences, reps by drill, and what was flown. */
export async function pilotPage(school: SchoolTx, id: string) {
  const page = (await pilotPages(school, [id]))[id];
  if (!page) throw notFound('pilot');
  return page;
}

const of = <Row extends OfPilot>(rows: readonly Row[]) => rowsBy(rows, (row) => row.pilotId);
/** Without the key by which rows of several pilots are told apart. */
const withoutPilot = <Row extends OfPilot>(rows: readonly Row[]) => rows.map(({ pilotId: _, ...row }) => row);

/** Reps of each drill and purpose, and of those that were measured the last values. */
const repsByDrill = ({ tx }: SchoolTx, ids: readonly string[]) =>
  rowsOf<OfPilot & { readonly lastAt: string }>(
    tx,
    tx.raw(
      `
    select flown.*, coalesce((select json_agg(v) from (
        select id, to_char(flown_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "flownAt", met, measure as value
          from reps r where r.pilot_id = flown.pilot_id and r.drill_id = flown.drill_id and r.purpose = flown.purpose
           and measure is not null and taken_back_at is null
         order by flown_at desc, id desc limit ?) v), '[]') as values
      from (
        select pilot_id, drill_id, purpose, count(*) as reps, count(*) filter (where met) as met,
               max(day) as last_day, max(flown_at) as last_at
          from reps where pilot_id = any(?::uuid[]) and taken_back_at is null
         group by pilot_id, drill_id, purpose) flown
     order by last_at desc`,
      [VALUES_SENT, [...ids]],
    ),
  );

/** What the pages of pilots are made of, each list in its order. */
function rowsOfPilots(school: SchoolTx, ids: readonly string[]) {
  const { tx } = school;
  return Promise.all([
    rowsOf<{ readonly id: string }>(tx, tx('pilots').whereRaw('id = any(?::uuid[])', [[...ids]])),
    repsByDrill(school, ids),
    rowsOf<OfPilot>(
      tx,
      tx.raw(
        `
    select pilot_id, count(*) as flights, coalesce(sum(packs), 0) as packs, coalesce(sum(minutes), 0) as minutes, min(day) as since
      from flights where pilot_id = any(?::uuid[]) group by pilot_id`,
        [[...ids]],
      ),
    ),
    rowsOf<OfPilot & { readonly nth: number }>(
      tx,
      tx.raw(
        `
    select * from (
      select f.*, row_number() over (partition by pilot_id order by day desc, id desc) as nth
        from flights f where pilot_id = any(?::uuid[])) last
    where nth <= ? order by nth`,
        [[...ids], FLIGHTS_SHOWN],
      ),
    ),
    rowsOf<OfPilot>(
      tx,
      tx('weaknesses')
        .whereRaw('pilot_id = any(?::uuid[])', [[...ids]])
        .orderBy('opened_at', 'desc'),
    ),
    rowsOf<OfPilot>(
      tx,
      tx.raw(
        `
    select o.* from unnest(?::uuid[]) p(id)
     cross join lateral (select * from occurrences where pilot_id = p.id order by happened_at desc, id desc limit ?) o
     order by o.happened_at desc, o.id desc`,
        [[...ids], OCCURRENCES_SHOWN],
      ),
    ),
    rowsOf<OfPilot & PilotPage['occurred']>(
      tx,
      tx.raw(
        `
    select pilot_id, count(*) as all, count(*) filter (where kind = 'crash' and withdrawn_at is null) as crashes,
      count(*) filter (where kind = 'near-miss' and withdrawn_at is null) as near_misses
      from occurrences where pilot_id = any(?::uuid[]) group by pilot_id`,
        [[...ids]],
      ),
    ),
    linksOf(school, ids),
    courseFactsOf(school, ids),
  ]);
}

/** The pages of several by their keys, in as many statements as of one. @param ofPilots where that was read already */
export async function pilotPages(school: SchoolTx, ids: readonly string[], ofPilots?: KnownOfPilots) {
  const [
    known,
    [pilots, reps, flown, flights, weaknessRows, occurrenceRows, occurredRows, linkRows, factRows],
  ] = await Promise.all([
    knownOfEach(
      school,
      ids.map((pilotId) => ({ pilotId, weaknessId: null })),
      ofPilots,
    ),
    rowsOfPilots(school, ids),
  ]);
  const knownBy = new Map(ids.map((id, i) => [id, known[i]!]));
  const [repsOf, flownOf] = [of(reps), of(flown)];
  const flightsOf = of(flights.map(({ nth: _, ...flight }) => flight));
  const [weaknesses, occurrences, links] = [of(weaknessRows), of(occurrenceRows), of(linkRows)];
  const course = of(factRows);
  const occurred = of(occurredRows);
  return Object.fromEntries(
    pilots.map((pilot) => [
      pilot.id,
      {
        pilot: pilot as unknown,
        known: knownBy.get(pilot.id)!,
        weaknesses: weaknesses(pilot.id),
        occurrences: occurrences(pilot.id),
        occurred: withoutPilot(occurred(pilot.id))[0] ?? NOTHING_OCCURRED,
        reps: withoutPilot(repsOf(pilot.id)).map(({ lastAt: _, ...line }) => line) as unknown[],
        flown: (withoutPilot(flownOf(pilot.id))[0] ?? NEVER_FLOWN) as unknown,
        links: withoutPilot(links(pilot.id)) as unknown,
        flights: flightsOf(pilot.id),
        course: withoutPilot(course(pilot.id)) as unknown,
      },
    ]),
  );
}
