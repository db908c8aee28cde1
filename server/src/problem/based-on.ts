import { number, object } from 'yup';
import type { SchoolTx } from '../db/in-school';
import { Problem } from './problem';

/** Which revision of a record an edit was made from; a phone that is older than this server does not say. */
const shape = object({
  basedOn: number()
    .integer()
    .min(1, 'basedOn must be a revision: reload and try again.')
    .optional()
    .nullable(),
});

export interface Revised {
  readonly id: string;
  readonly revision: number;
  /** The phone that made every revision after `runFrom`. */
  readonly runOf: string | null;
  readonly runFrom: number | null;
}

/** What an edit writes beside its fields. */
export function nextRevision({ tx, phone = null }: SchoolTx, row: Revised) {
  const goesOn = phone !== null && row.runOf === phone;
  return { revision: tx.raw('revision + 1'), runOf: phone, runFrom: goesOn ? row.runFrom : row.revision };
}

/**
 * Refuses an edit made from an older revision than there is now. The answer holds both versions' difference
 * to choose from: what is
 * stored, by whom it was changed, and what to add to the edit so that it goes through all the same. A phone
 * that has not read its own
 * edits back is not behind: all that came since is its own.
 */
export async function assertNotStale(
  { tx, phone }: SchoolTx,
  row: Revised,
  fields: Readonly<Record<string, unknown>>,
  body: unknown,
): Promise<void> {
  const { basedOn } = await shape.validate(body ?? {});
  if (basedOn === undefined || basedOn === null || basedOn === row.revision) return;
  if (phone && row.runOf === phone && row.runFrom !== null && basedOn >= row.runFrom) return;
  const last = (await tx('events as e')
    .leftJoin('accounts as a', (on) => on.on('a.school_id', 'e.school_id').andOn('a.id', 'e.account_id'))
    .where({ 'e.subject_id': row.id })
    .orderBy('e.at', 'desc')
    .first('a.name as by', 'e.at')) as { by: string | null; at: string } | undefined;
  const stored = row as unknown as Readonly<Record<string, unknown>>;
  throw new Problem(
    409,
    'Changed meanwhile',
    `${last?.by ?? 'Somebody'} changed this since you opened it: look at both and choose.`,
    {
      more: {
        theirs: Object.fromEntries(Object.keys(fields).map((name) => [name, stored[name]])),
        by: last?.by ?? null,
        at: last?.at ?? null,
        override: { basedOn: row.revision },
      },
    },
  );
}
