import { rowsBy } from '../facts/by';
import { knownOfEach, type KnownOfPilots } from '../facts/known-of-pilot';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { notFound } from '../problem/problem';
import { linksOf } from './pilot-links';

const FLIGHTS_SHOWN = 30;
/** More than are shown: a phone may take some back. */
const VALUES_SENT = 20;

interface OfPilot {
  readonly pilotId: string;
}
const NEVER_FLOWN = { flights: 0, packs: 0, minutes: 0, since: null };

/** Everything about one pilot: weaknesses, occurrences, reps by drill, and what was flown. */
export async function pilotPage(school: SchoolTx, id: string) {
  const page = (await pilotPages(school, [id]))[id];
  if (!page) throw notFound('pilot');
  return page;
}

const of = <Row extends OfPilot>(rows: readonly Row[]) => rowsBy(rows, (row) => row.pilotId);
/** Without the key by which rows of several pilots are told apart. */
const withoutPilot = <Row extends OfPilot>(rows: readonly Row[]) => rows.map(({ pilotId: _, ...row }) => row);

/** What the pages of pilots are made of, each list in its order. */
function rowsOfPilots(school: SchoolTx, ids: readonly string[]) {
  const { tx } = school;
  return Promise.all([
    rowsOf<{ readonly id: string }>(tx, tx('pilots').whereRaw('id = any(?::uuid[])', [[...ids]])),
    rowsOf<OfPilot>(
      tx,
      tx.raw(
        `
    select pilot_id, drill_id, purpose, count(*) as reps, count(*) filter (where met) as met, max(day) as last_day,
      coalesce(to_json((array_agg(json_build_object('id', id, 'flownAt', to_char(flown_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'met', met, 'value', measure)
        order by flown_at desc, id desc) filter (where measure is not null))[1:?]), '[]') as values
      from reps where pilot_id = any(?::uuid[]) and taken_back_at is null
      group by pilot_id, drill_id, purpose order by max(flown_at) desc`,
        [VALUES_SENT, [...ids]],
      ),
    ),
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
      tx('occurrences')
        .whereRaw('pilot_id = any(?::uuid[])', [[...ids]])
        .orderBy('happened_at', 'desc'),
    ),
    linksOf(school, ids),
  ]);
}

/** The pages of several by their keys, in as many statements as of one. @param ofPilots where that was read already */
export async function pilotPages(school: SchoolTx, ids: readonly string[], ofPilots?: KnownOfPilots) {
  const [known, [pilots, reps, flown, flights, weaknessRows, occurrenceRows, linkRows]] = await Promise.all([
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
  return Object.fromEntries(
    pilots.map((pilot) => [
      pilot.id,
      {
        pilot: pilot as unknown,
        known: knownBy.get(pilot.id)!,
        weaknesses: weaknesses(pilot.id),
        occurrences: occurrences(pilot.id),
        reps: withoutPilot(repsOf(pilot.id)) as unknown[],
        flown: (withoutPilot(flownOf(pilot.id))[0] ?? NEVER_FLOWN) as unknown,
        links: withoutPilot(links(pilot.id)) as unknown,
        flights: flightsOf(pilot.id),
      },
    ]),
  );
}
