import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
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
export async function carriedSince(school: SchoolTx, since: string | undefined, lately: boolean) {
  const version = await schoolVersion(school);
  return since === version
    ? { version, same: true as const }
    : { version, ...(await prefetchPage(school, lately)) };
}

/**
 * All that a trainer needs with no signal, in one answer: each entry is what its own address would give, and all of
 * them take as many statements as one of each. Pilots without an open weakness or an occurrence to debrief are in the
 * roster; their pages stay behind.
 */
export async function prefetchPage(school: SchoolTx, lately: boolean) {
  const { tx } = school;
  const [list, watched, ofSchool] = await Promise.all([
    today(school),
    rowsOf<Line>(tx, tx('weaknesses').where({ state: 'watch' }).select('id', 'pilot_id')),
    schoolWide(school),
  ]);
  const listed = list.weaknesses as readonly Line[];
  const weaknesses = [...listed, ...watched.filter(({ id }) => !listed.some((line) => line.id === id))];
  const toDebrief = list.toDebrief as readonly Line[];
  const occurrenceIds = toDebrief.map(({ id }) => id);
  const pilotIds = [...new Set([...weaknesses, ...toDebrief].map(({ pilotId }) => pilotId))];
  const ofPilots = await knownOfPilots(school, pilotIds);
  const [weakness, occurrence, debrief, pilot] = await Promise.all([
    weaknessPages(
      school,
      weaknesses.map(({ id }) => id),
      { lately, ofPilots },
    ),
    occurrencePages(school, occurrenceIds),
    debriefsOf(school, occurrenceIds),
    pilotPages(school, pilotIds, ofPilots),
  ]);
  return { today: list, ...ofSchool, weakness, occurrence, debrief, pilot };
}

/** What is the same for whoever is carried. */
async function schoolWide(school: SchoolTx) {
  const [all, flights, experience, rule, sessions, drills] = await Promise.all([
    roster(school),
    recentFlights(school),
    experienceOf(school),
    ruleInForce(school),
    recentSessions(school),
    drillVersions(school),
  ]);
  return { roster: all, flights, experience, rule, sessions, drills };
}
