import type { SaidByPilot } from '@skelby/core/pages/said-by-pilot';
import type { Says } from '@skelby/core/commands/of-a-pilot';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/** What a pilot said of a weakness stands in the history, where it is only ever added to, and blanked with the pilot. */
export const SAID_ACTIONS: Readonly<Record<Says, string>> = {
  read: 'restriction-read',
  otherwise: 'seen-otherwise',
};

const SAYS_OF = Object.fromEntries(
  Object.entries(SAID_ACTIONS).map(([says, action]) => [action, says as Says]),
);

export type SaidOfWeakness = SaidByPilot & { readonly weaknessId: string };

/** What pilots said of these weaknesses, oldest first. */
export async function saidOf(
  { tx }: SchoolTx,
  weaknessIds: readonly string[],
): Promise<readonly SaidOfWeakness[]> {
  const rows = await rowsOf<{
    id: string;
    subjectId: string;
    action: string;
    reason: string | null;
    at: string;
    data: { saidAt?: string };
  }>(
    tx,
    tx('events')
      .whereRaw('subject_id = any(?::uuid[])', [[...weaknessIds]])
      .where({ subject: 'weakness' })
      .whereIn('action', Object.values(SAID_ACTIONS))
      .orderBy(['at', 'id'])
      .select('id', 'subject_id', 'action', 'reason', 'at', 'data'),
  );
  return rows.map(({ id, subjectId, action, reason, at, data }) => ({
    id,
    weaknessId: subjectId,
    says: SAYS_OF[action]!,
    words: reason,
    saidAt: data.saidAt ?? at,
    cameInAt: at,
  }));
}
