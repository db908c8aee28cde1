import type { Track } from '@skelby/core/vocabulary/training';
import { rankOfSeverity } from '@skelby/core/debrief/severity';
import { DRILL_GROUPS } from '@skelby/core/drills/drill';
import { drillOf } from '@skelby/core/drills/drills';
import type { Place } from '@skelby/core/vocabulary/flying';
import { type Evidence, readable } from '@skelby/core/evidence/evidence';
import { abilityIn } from '@skelby/core/plan/ability';
import { reasonsTold, type ToldReason } from '@skelby/core/plan/remedies';
import type { KnownOfPilot } from '@skelby/core/plan/propose-plan';
import type { SchoolTx } from '../db/in-school';

/** So many flights count as lately. */
const LATELY = 20;

/**
 * How bad its occurrences may end next time, 1 to 5, by what their closed debriefs say; null where none does.
 */
async function severityOf({ tx }: SchoolTx, weaknessId: string): Promise<number | null> {
  const said = (await tx('debriefs as d')
    .join('occurrences as o', (on) => on.on('o.school_id', 'd.school_id').andOn('o.id', 'd.occurrence_id'))
    .where({ 'o.weakness_id': weaknessId, 'd.state': 'closed' })
    .select(tx.raw("d.findings->>'potential' as potential"))) as { potential: string | null }[];
  const ranks = said.map(({ potential }) => rankOfSeverity(potential)).filter((rank) => rank !== null);
  return ranks.length === 0 ? null : Math.max(...ranks);
}

/** Answers of its closed debriefs that its plan hangs on, the latest debrief first. */
async function toldOf({ tx }: SchoolTx, weaknessId: string): Promise<readonly ToldReason[]> {
  const debriefs = (await tx('debriefs as d')
    .join('occurrences as o', (on) => on.on('o.school_id', 'd.school_id').andOn('o.id', 'd.occurrence_id'))
    .where({ 'o.weakness_id': weaknessId, 'd.state': 'closed' })
    .orderBy([
      { column: 'o.happened_at', order: 'desc' },
      { column: 'd.number', order: 'desc' },
    ])
    .select(tx.raw("d.findings->'evidence' as evidence"))) as { evidence: Evidence | null }[];
  return debriefs.length === 0 ? [] : reasonsTold(readable(debriefs[0]!.evidence ?? {}));
}

/** Where, in what wind and on what craft the last flights were. */
async function flownLately(
  { tx }: SchoolTx,
  pilotId: string,
): Promise<Pick<KnownOfPilot, 'places' | 'windiestMps' | 'hasPilotRelative'>> {
  const flown = (await tx('flights as f')
    .join('craft as c', (on) => on.on('c.school_id', 'f.school_id').andOn('c.id', 'f.craft_id'))
    .join('sites as s', (on) => on.on('s.school_id', 'f.school_id').andOn('s.id', 'f.site_id'))
    .where({ 'f.pilot_id': pilotId })
    .orderBy([{ column: 'f.day', order: 'desc' }, 'f.id'])
    .limit(LATELY)
    .select('f.wind_mps', 's.place', 'c.has_pilot_relative')) as {
    windMps: number;
    place: Place;
    hasPilotRelative: boolean | null;
  }[];
  const never = flown.length > 0 && flown.every((flight) => flight.hasPilotRelative === false);
  return {
    places: [...new Set(flown.map((flight) => flight.place))].sort(),
    windiestMps: flown.length === 0 ? null : Math.max(...flown.map((flight) => flight.windMps)),
    hasPilotRelative: flown.some((flight) => flight.hasPilotRelative) ? true : never ? false : null,
  };
}

type RepKnown = Parameters<typeof abilityIn>[1][number];

/** What the reps say of each skill, up to the day of the last one. */
function abilitiesIn(reps: readonly RepKnown[]): NonNullable<KnownOfPilot['abilities']> {
  const lastDay = reps.at(-1)?.day;
  if (lastDay === undefined) return {};
  const skills = new Set(reps.map((rep) => drillOf(rep.drillId).group));
  return Object.fromEntries(
    DRILL_GROUPS.filter((id) => skills.has(id)).map((id) => [id, abilityIn(id, reps, lastDay)]),
  );
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
  const { tx } = school;
  const pilot = (await tx('pilots').where({ id: pilotId }).first('track', 'wind_limit_mps', 'shown')) as {
    track: Track;
    shown: readonly string[];
    windLimitMps: number;
  };
  const rows = (await tx('reps')
    .where({ pilotId })
    .whereNull('taken_back_at')
    .orderBy('flown_at')
    .select('id', 'drill_id', 'met', 'day', 'flown_at', 'level')) as Omit<RepKnown, 'takenBack'>[];
  const reps = rows.map((rep) => ({ ...rep, takenBack: false }));
  return {
    ...(await flownLately(school, pilotId)),
    track: pilot.track,
    windLimitMps: pilot.windLimitMps,
    met: [...new Set([...pilot.shown, ...reps.filter((rep) => rep.met).map((rep) => rep.drillId)])].sort(),
    severity: weaknessId === null ? null : await severityOf(school, weaknessId),
    told: weaknessId === null ? [] : await toldOf(school, weaknessId),
    abilities: abilitiesIn(reps),
  };
}
