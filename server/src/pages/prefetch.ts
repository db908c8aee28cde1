import type { SchoolTx } from '../db/in-school';
import { schoolVersion } from '../facts/school-version';
import { debriefsOf } from './debrief';
import { drillVersions } from './drills';
import { experienceOf } from '../facts/experience';
import { knownOfPilots } from '../facts/known-of-pilot';
import { ruleInForce } from '../facts/occurrence-rows';
import { occurrencePages } from './occurrence';
import { pilotPages } from './pilot-page';
import { recentFlights, roster } from './roster';
import { recentSessions } from './sessions';
import { today } from './today';
import { weaknessPages } from './weakness';

interface Line {
  readonly id: string;
  readonly pilotId: string;
}

/**
 * What a phone takes along; where nothing was changed since it last did, only that.
 * @param since the version that the phone has; absent: it has none
 */
export async function carriedSince(school: SchoolTx, since: string | undefined) {
  const version = await schoolVersion(school);
  return since === version ? { version, same: true as const } : { version, ...(await prefetchPage(school)) };
}

/**
 * All that a trainer needs with no signal, in one answer: each entry is what its own address would give, and all of
 * them take as many statements as one of each. Pilots without an open weakness or an occurrence to debrief are in the
 * roster; their pages stay behind.
 */
export async function prefetchPage(school: SchoolTx) {
  const { tx } = school;
  const list = await today(school);
  const watched = (await tx('weaknesses').where({ state: 'watch' }).select('id', 'pilot_id')) as Line[];
  const listed = list.weaknesses as Line[];
  const weaknesses = [...listed, ...watched.filter(({ id }) => !listed.some((line) => line.id === id))];
  const toDebrief = list.toDebrief as Line[];
  const occurrenceIds = toDebrief.map(({ id }) => id);
  const pilotIds = [...new Set([...weaknesses, ...toDebrief].map(({ pilotId }) => pilotId))];
  const ofPilots = await knownOfPilots(school, pilotIds);
  return {
    today: list,
    roster: await roster(school),
    flights: await recentFlights(school),
    experience: await experienceOf(school),
    rule: await ruleInForce(school),
    sessions: await recentSessions(school),
    drills: await drillVersions(school),
    weakness: await weaknessPages(
      school,
      weaknesses.map(({ id }) => id),
      ofPilots,
    ),
    occurrence: await occurrencePages(school, occurrenceIds),
    debrief: await debriefsOf(school, occurrenceIds),
    pilot: await pilotPages(school, pilotIds, ofPilots),
  };
}
