import type { DebriefRow } from '../facts/debrief-versions';
import { notFound } from '../problem/problem';
import type { SchoolTx } from '../db/in-school';

/** Versions of a debrief, with who saved them. */
const versionsOf = ({ tx }: SchoolTx, occurrenceId: string) =>
  tx('debriefs as d')
    .leftJoin('accounts as a', (on) => on.on('a.school_id', 'd.school_id').andOn('a.id', 'd.account_id'))
    .where({ 'd.occurrence_id': occurrenceId });

/** The debrief as it stands, and when, by whom and why each version of it was saved. */
export async function debriefOf(school: SchoolTx, occurrenceId: string) {
  const versions = (await versionsOf(school, occurrenceId)
    .select('d.id', 'd.number', 'd.state', 'd.reason', 'd.at', 'a.name as by')
    .orderBy('d.number', 'desc')) as { id: string }[];
  const [newest] = versions;
  return { debrief: newest ? await debriefVersion(school, occurrenceId, newest.id) : null, versions };
}

/** One version of a debrief, as it was saved. */
export async function debriefVersion(
  school: SchoolTx,
  occurrenceId: string,
  id: string,
): Promise<DebriefRow & { readonly by: string | null }> {
  const version = (await versionsOf(school, occurrenceId)
    .andWhere({ 'd.id': id })
    .first('d.*', 'a.name as by')) as (DebriefRow & { readonly by: string | null }) | undefined;
  if (!version) throw notFound('version');
  return version;
}
