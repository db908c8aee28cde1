import type { SchoolTx } from '../db/in-school';
import { debriefOf } from './debrief';
import { drillVersions } from './drills';
import { experienceOf } from '../facts/experience';
import { ruleInForce } from '../facts/occurrence-rows';
import { occurrencePage } from './occurrence';
import { pilotPage } from './pilot-page';
import { recentFlights, roster } from './roster';
import { recentSessions } from './sessions';
import { today } from './today';
import { weaknessPage } from './weakness';

/**
 * All that a trainer needs with no signal, in one answer: each entry is what its own address would give.
 * Pilots without an open
 * weakness or an occurrence to debrief are in the roster; their pages stay behind.
 */
export async function prefetchPage(school: SchoolTx) {
  const { tx } = school;
  const list = await today(school);
  const watched = (await tx('weaknesses').where({ state: 'watch' }).select('id', 'pilot_id')) as {
    id: string;
    pilotId: string;
  }[];
  const listed = list.weaknesses as { id: string; pilotId: string }[];
  const weaknesses = [...listed, ...watched.filter(({ id }) => !listed.some((line) => line.id === id))];
  const toDebrief = list.toDebrief as { id: string; pilotId: string }[];
  const each = async <T>(
    ids: Iterable<string>,
    read: (id: string) => Promise<T>,
  ): Promise<Record<string, T>> => {
    const found: Record<string, T> = {};
    for (const id of ids) found[id] = await read(id);
    return found;
  };
  return {
    today: list,
    roster: await roster(school),
    flights: await recentFlights(school),
    experience: await experienceOf(school),
    rule: await ruleInForce(school),
    sessions: await recentSessions(school),
    drills: await drillVersions(school),
    weakness: await each(
      weaknesses.map(({ id }) => id),
      (id) => weaknessPage(school, id),
    ),
    occurrence: await each(
      toDebrief.map(({ id }) => id),
      (id) => occurrencePage(school, id),
    ),
    debrief: await each(
      toDebrief.map(({ id }) => id),
      (id) => debriefOf(school, id),
    ),
    pilot: await each(new Set([...weaknesses, ...toDebrief].map(({ pilotId }) => pilotId)), (id) =>
      pilotPage(school, id),
    ),
  };
}
