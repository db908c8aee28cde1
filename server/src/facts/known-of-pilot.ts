import type { Track } from '@skelby/core/vocabulary/training';
import { rankOfSeverity } from '@skelby/core/debrief/severity';
import type { DrillId } from '@skelby/core/drills/drills';
import type { Place } from '@skelby/core/vocabulary/flying';
import { type Evidence, readable } from '@skelby/core/evidence/evidence';
import { abilitiesOf, REPS_THAT_TELL } from '@skelby/core/plan/ability';
import { reasonsTold, type ToldReason } from '@skelby/core/plan/remedies';
import type { KnownOfPilot } from '@skelby/core/plan/propose-plan';
import { methodsFor, type OwnMethods } from '@skelby/core/methods/methods';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { rowsBy } from './by';
import { methodsOfSchool } from './methods';

/** So many flights count as lately. */
const LATELY = 20;

interface ClosedDebrief {
  readonly weaknessId: string;
  readonly potential: string | null;
  readonly evidence: Evidence | null;
}

/** Closed debriefs of weaknesses, of each the latest first. */
async function closedDebriefsOf(
  { tx }: SchoolTx,
  weaknessIds: readonly string[],
): Promise<readonly ClosedDebrief[]> {
  if (weaknessIds.length === 0) return [];
  return rowsOf<ClosedDebrief>(
    tx,
    tx('debriefs as d')
      .join('occurrences as o', (on) => on.on('o.school_id', 'd.school_id').andOn('o.id', 'd.occurrence_id'))
      .whereRaw('o.weakness_id = any(?::uuid[])', [[...weaknessIds]])
      .where({ 'd.state': 'closed' })
      .orderBy([
        { column: 'o.happened_at', order: 'desc' },
        { column: 'd.number', order: 'desc' },
      ])
      .select(
        'o.weakness_id',
        tx.raw("d.findings->>'potential' as potential"),
        tx.raw("d.findings->'evidence' as evidence"),
      ),
  );
}

/** How bad its occurrences may end next time, 1 to 5, by what they say; null where none does. */
function severityIn(debriefs: readonly ClosedDebrief[]): number | null {
  const ranks = debriefs.map(({ potential }) => rankOfSeverity(potential)).filter((rank) => rank !== null);
  return ranks.length === 0 ? null : Math.max(...ranks);
}

/** Answers of the latest that its plan hangs on. */
const toldIn = ([latest]: readonly ClosedDebrief[]): readonly ToldReason[] =>
  latest ? reasonsTold(readable(latest.evidence ?? {})) : [];

interface FlownRow {
  readonly pilotId: string;
  readonly windMps: number;
  readonly place: Place;
  readonly hasPilotRelative: boolean | null;
}

/** The last flights of pilots, of each the latest first. */
const lastFlightsOf = ({ tx }: SchoolTx, pilotIds: readonly string[]) =>
  rowsOf<FlownRow>(
    tx,
    tx.raw(
      `
    select * from (
      select f.pilot_id, f.wind_mps, s.place, c.has_pilot_relative,
        row_number() over (partition by f.pilot_id order by f.day desc, f.id) as nth
      from flights f
      join craft c on c.school_id = f.school_id and c.id = f.craft_id
      join sites s on s.school_id = f.school_id and s.id = f.site_id
      where f.pilot_id = any(?::uuid[])) lately
    where nth <= ? order by pilot_id, nth`,
      [[...pilotIds], LATELY],
    ),
  );

/** Where, in what wind and on what craft they were. */
function flownLately(
  flown: readonly FlownRow[],
): Pick<KnownOfPilot, 'places' | 'windiestMps' | 'hasPilotRelative'> {
  const never = flown.length > 0 && flown.every((flight) => flight.hasPilotRelative === false);
  return {
    places: [...new Set(flown.map((flight) => flight.place))].sort(),
    windiestMps: flown.length === 0 ? null : Math.max(...flown.map((flight) => flight.windMps)),
    hasPilotRelative: flown.some((flight) => flight.hasPilotRelative) ? true : never ? false : null,
  };
}

/** The last reps of each drill that a pilot has flown, in order, and the drills that were ever met. */
interface Telling {
  readonly pilotId: string;
  readonly reps: readonly (readonly [drillId: DrillId, met: boolean, day: string, level: number])[];
  readonly met: readonly string[];
}

/** It steps from drill to drill: what is read hangs on how many of them were flown, not on how often. */
const TELLING = `
  with recursive flown as (
    select p.id as pilot_id, (select min(drill_id) from reps where pilot_id = p.id) as drill_id
      from unnest(:pilotIds::uuid[]) p(id)
    union all
    select f.pilot_id, (select min(drill_id) from reps where pilot_id = f.pilot_id and drill_id > f.drill_id)
      from flown f where f.drill_id is not null),
  last as (
    select r.* from flown f cross join lateral (
      select pilot_id, id, drill_id, met, day, flown_at, level from reps
       where pilot_id = f.pilot_id and drill_id = f.drill_id and taken_back_at is null
       order by flown_at desc limit :most) r)
  select p.id as pilot_id,
    (select coalesce(json_agg(json_build_array(drill_id, met, day, level) order by flown_at, id), '[]')
       from last where pilot_id = p.id) as reps,
    (select coalesce(json_agg(drill_id), '[]') from flown f where pilot_id = p.id and drill_id is not null and exists (
      select from reps where pilot_id = f.pilot_id and drill_id = f.drill_id and met and taken_back_at is null)) as met
  from unnest(:pilotIds::uuid[]) p(id)`;

const repsTelling = ({ tx }: SchoolTx, pilotIds: readonly string[]): Promise<readonly Telling[]> =>
  rowsOf<Telling>(tx, tx.raw(TELLING, { pilotIds: [...pilotIds], most: REPS_THAT_TELL }));

/** What the reps say of each skill, up to the day of the last one. */
function abilitiesIn(telling: Telling['reps']): NonNullable<KnownOfPilot['abilities']> {
  const reps = telling.map(([drillId, met, day, level]) => ({ drillId, met, day, level }));
  const lastDay = reps.at(-1)?.day;
  return lastDay === undefined ? {} : abilitiesOf(reps, lastDay);
}

/** Of whom something is to be known, and for which weakness; null: one about to be opened, or none. */
interface Wanted {
  readonly pilotId: string;
  readonly weaknessId: string | null;
}
interface PilotRow {
  readonly id: string;
  readonly track: Track;
  readonly methods: OwnMethods;
  readonly shown: readonly string[];
  readonly windLimitMps: number;
}

/**
 * What a plan weighs beside the cause: how the pilot learns, what was met before, where, in what wind and on
 * what craft the last flights were,
 * how bad it may end, and what the reps say of each skill.
 * @param weaknessId null: one about to be opened, of which nothing is known
 */
export async function knownOf(
  school: SchoolTx,
  pilotId: string,
  weaknessId: string | null,
): Promise<KnownOfPilot> {
  const [known] = await knownOfEach(school, [{ pilotId, weaknessId }]);
  return known!;
}

/** What is known of pilots for whatever they train, by their keys. */
export type KnownOfPilots = ReadonlyMap<string, Omit<KnownOfPilot, 'severity' | 'told'>>;

/** The part that is the same for all weaknesses of a pilot, of several in as many statements as of one. */
export async function knownOfPilots(school: SchoolTx, pilotIds: readonly string[]): Promise<KnownOfPilots> {
  const { tx } = school;
  const [ofSchool, pilots, telling, lastFlights] = await Promise.all([
    methodsOfSchool(school),
    rowsOf<PilotRow>(
      tx,
      tx('pilots')
        .whereRaw('id = any(?::uuid[])', [[...pilotIds]])
        .select('id', 'track', 'methods', 'wind_limit_mps', 'shown'),
    ),
    repsTelling(school, pilotIds),
    lastFlightsOf(school, pilotIds),
  ]);
  const told = rowsBy(telling, (each) => each.pilotId);
  const flights = rowsBy(lastFlights, (flight) => flight.pilotId);
  return new Map(
    pilots.map(({ id, track, methods, shown, windLimitMps }) => {
      const { reps = [], met = [] } = told(id)[0] ?? {};
      return [
        id,
        {
          ...flownLately(flights(id)),
          track,
          methods: methodsFor(ofSchool, { track, methods }),
          windLimitMps,
          met: [...new Set([...shown, ...met])].sort(),
          abilities: abilitiesIn(reps),
        },
      ] as const;
    }),
  );
}

/**
 * The same of several, in their order, in as many statements as of one.
 * @param ofPilots where it was read already
 */
export async function knownOfEach(
  school: SchoolTx,
  wanted: readonly Wanted[],
  ofPilots?: KnownOfPilots,
): Promise<readonly KnownOfPilot[]> {
  const [closedOnes, ofPilot] = await Promise.all([
    closedDebriefsOf(
      school,
      wanted.flatMap(({ weaknessId }) => weaknessId ?? []),
    ),
    ofPilots ?? knownOfPilots(school, [...new Set(wanted.map(({ pilotId }) => pilotId))]),
  ]);
  const debriefs = rowsBy(closedOnes, (debrief) => debrief.weaknessId);
  return wanted.map(({ pilotId, weaknessId }) => {
    const closed = weaknessId === null ? [] : debriefs(weaknessId);
    return { ...ofPilot.get(pilotId)!, severity: severityIn(closed), told: toldIn(closed) };
  });
}
