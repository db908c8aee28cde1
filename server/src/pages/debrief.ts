import { type DebriefRow, latestDebrief } from '../facts/debrief-versions';
import { notFound } from '../problem/problem';
import type { SchoolTx } from '../db/in-school';

/** The debrief as it stands, and when, by whom and why each version of it was saved. */
export async function debriefOf(school: SchoolTx, occurrenceId: string) {
  const versions = (await school
    .tx('debriefs as d')
    .leftJoin('accounts as a', (on) => on.on('a.school_id', 'd.school_id').andOn('a.id', 'd.account_id'))
    .select('d.id', 'd.number', 'd.state', 'd.reason', 'd.at', 'a.name as by')
    .where({ 'd.occurrence_id': occurrenceId })
    .orderBy('d.number', 'desc')) as unknown[];
  return { debrief: (await latestDebrief(school, occurrenceId)) ?? null, versions };
}

/** One version of a debrief, as it was saved. */
export async function debriefVersion(
  { tx }: SchoolTx,
  occurrenceId: string,
  id: string,
): Promise<DebriefRow> {
  const version = (await tx('debriefs').where({ occurrenceId, id }).first()) as DebriefRow | undefined;
  if (!version) throw notFound('version');
  return version;
}
