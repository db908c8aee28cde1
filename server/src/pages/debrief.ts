import type { DebriefRow } from '../facts/debrief-versions';
import { rowsBy } from '../facts/by';
import { notFound } from '../problem/problem';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/** Versions of debriefs, with who saved them. */
const versionsOf = ({ tx }: SchoolTx, occurrenceIds: readonly string[]) =>
  tx('debriefs as d')
    .leftJoin('accounts as a', (on) => on.on('a.school_id', 'd.school_id').andOn('a.id', 'd.account_id'))
    .whereRaw('d.occurrence_id = any(?::uuid[])', [[...occurrenceIds]]);

interface Version {
  readonly occurrenceId: string;
  readonly id: string;
}

/** The debrief as it stands, and when, by whom and why each version of it was saved. */
export const debriefOf = async (school: SchoolTx, occurrenceId: string) =>
  (await debriefsOf(school, [occurrenceId]))[occurrenceId]!;

/** The same of several occurrences by their keys, in two statements. */
export async function debriefsOf(school: SchoolTx, occurrenceIds: readonly string[]) {
  const versions = rowsBy(
    await rowsOf<Version>(
      school.tx,
      versionsOf(school, occurrenceIds)
        .select('d.occurrence_id', 'd.id', 'd.number', 'd.state', 'd.reason', 'd.at', 'a.name as by')
        .orderBy('d.number', 'desc'),
    ),
    (version) => version.occurrenceId,
  );
  const newest = occurrenceIds.flatMap((id) => versions(id)[0]?.id ?? []);
  const standing = rowsBy(
    newest.length === 0
      ? []
      : await rowsOf<DebriefRow & Version & { readonly by: string | null }>(
          school.tx,
          versionsOf(school, occurrenceIds)
            .whereRaw('d.id = any(?::uuid[])', [[...newest]])
            .select('d.*', 'a.name as by'),
        ),
    (row) => row.occurrenceId,
  );
  return Object.fromEntries(
    occurrenceIds.map((id) => [
      id,
      {
        debrief: standing(id)[0] ?? null,
        versions: versions(id).map(({ occurrenceId: _, ...version }) => version),
      },
    ]),
  );
}

/** One version of a debrief, as it was saved. */
export async function debriefVersion(
  school: SchoolTx,
  occurrenceId: string,
  id: string,
): Promise<DebriefRow & { readonly by: string | null }> {
  const version = (await versionsOf(school, [occurrenceId])
    .andWhere({ 'd.id': id })
    .first('d.*', 'a.name as by')) as (DebriefRow & { readonly by: string | null }) | undefined;
  if (!version) throw notFound('version');
  return version;
}
