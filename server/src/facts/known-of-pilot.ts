import type { Track } from '@skelby/core/vocabulary/training';
import { rankOfSeverity } from '@skelby/core/debrief/severity';
import { DRILL_GROUPS } from '@skelby/core/drills/drill';
import { drillOf } from '@skelby/core/drills/drills';
import { flownOrder } from '@skelby/core/vocabulary/flown-order';
import type { Place } from '@skelby/core/vocabulary/flying';
import { type Evidence, readable } from '@skelby/core/evidence/evidence';
import { abilityIn, REPS_THAT_TELL } from '@skelby/core/plan/ability';
import { reasonsTold, type ToldReason } from '@skelby/core/plan/remedies';
import type { KnownOfPilot } from '@skelby/core/plan/propose-plan';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { prepared } from '../db/prepared';
import { rowsBy } from './by';
import { fromJson } from '../db/from-json';

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

type RepKnown = Parameters<typeof abilityIn>[1][number];

interface OfDrill {
  readonly pilotId: string;
  readonly drillId: string;
  readonly everMet: boolean;
  readonly last: readonly Omit<RepKnown, 'takenBack'>[];
}

/** Of each drill that pilots have flown the last reps, and whether one was ever met. It steps from drill to drill. */
const TELLING = `
  with recursive flown as (
    select p.id as pilot_id, (select min(drill_id) from reps where pilot_id = p.id) as drill_id
      from unnest(?::uuid[]) p(id)
    union all
    select f.pilot_id, (select min(drill_id) from reps where pilot_id = f.pilot_id and drill_id > f.drill_id)
      from flown f where f.drill_id is not null)
  select f.pilot_id, f.drill_id,
    exists (select from reps where pilot_id = f.pilot_id and drill_id = f.drill_id and met and taken_back_at is null) as ever_met,
    (select coalesce(json_agg(r), '[]') from (
      select id, drill_id, met, day, flown_at, level from reps
       where pilot_id = f.pilot_id and drill_id = f.drill_id and taken_back_at is null
       order by flown_at desc limit ?) r) as last
  from flown f where f.drill_id is not null`;

async function repsTelling({ tx }: SchoolTx, pilotIds: readonly string[]): Promise<readonly OfDrill[]> {
  const rows = await rowsOf<OfDrill>(
    tx,
    tx.raw(TELLING, [[...pilotIds], REPS_THAT_TELL]).options(prepared('reps-telling')),
  );
  return rows.map((row) => ({ ...row, last: fromJson(row.last) }));
}

/** What the reps say of each skill, up to the day of the last one. */
function abilitiesIn(reps: readonly RepKnown[]): NonNullable<KnownOfPilot['abilities']> {
  const lastDay = [...reps].sort(flownOrder).at(-1)?.day;
  if (lastDay === undefined) return {};
  const skills = new Set(reps.map((rep) => drillOf(rep.drillId).group));
  return Object.fromEntries(
    DRILL_GROUPS.filter((id) => skills.has(id)).map((id) => [id, abilityIn(id, reps, lastDay)]),
  );
}

/** Of whom something is to be known, and for which weakness; null: one about to be opened, or none. */
interface Wanted {
  readonly pilotId: string;
  readonly weaknessId: string | null;
}
interface PilotRow {
  readonly id: string;
  readonly track: Track;
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
  const [pilots, telling, lastFlights] = await Promise.all([
    rowsOf<PilotRow>(
      tx,
      tx('pilots')
        .whereRaw('id = any(?::uuid[])', [[...pilotIds]])
        .select('id', 'track', 'wind_limit_mps', 'shown'),
    ),
    repsTelling(school, pilotIds),
    lastFlightsOf(school, pilotIds),
  ]);
  const reps = rowsBy(telling, (rep) => rep.pilotId);
  const flights = rowsBy(lastFlights, (flight) => flight.pilotId);
  return new Map(
    pilots.map(({ id, track, shown, windLimitMps }) => {
      const flown = reps(id).flatMap(({ last }) => last.map((rep) => ({ ...rep, takenBack: false })));
      const met = reps(id).filter(({ everMet }) => everMet);
      return [
        id,
        {
          ...flownLately(flights(id)),
          track,
          windLimitMps,
          met: [...new Set([...shown, ...met.map(({ drillId }) => drillId)])].sort(),
          abilities: abilitiesIn(flown),
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
