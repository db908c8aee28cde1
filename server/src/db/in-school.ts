import type { DrillId } from '@skelby/core/drills/drills';
import type { Knex } from 'knex';

/**
 * Work before anybody is known: row level security hides every row from it, and it may call the sign-in
 * functions only.
 */
export const NO_SCHOOL = '';

/** Weaknesses to be worked out again: by their keys, and as those of a pilot for whom a drill decides. */
interface Deferred {
  readonly weaknesses: Set<string>;
  readonly drills: Map<string, { readonly pilotId: string; readonly drillId: DrillId }>;
}

/** One transaction for one school, and who acts in it. */
export interface SchoolTx {
  readonly tx: Knex.Transaction;
  readonly schoolId: string;
  readonly accountId: string | null;
  /** The phone that sends, where it says. */
  readonly phone?: string | null;
  /** In a batch: what is to be worked out again once, at its end. */
  readonly deferred?: Deferred;
}

/**
 * The only way to the data. Opens a transaction as the database role that cannot bypass row-level
 * security, for one school: every row of another school is invisible to everything inside.
 */
export function inSchool<T>(
  db: Knex,
  who: { readonly schoolId: string; readonly accountId: string | null },
  work: (school: SchoolTx) => Promise<T>,
): Promise<T> {
  return db.transaction(async (tx) => {
    await tx.raw("select set_config('role', 'skelby_app', true), set_config('skelby.school', ?, true)", [
      who.schoolId,
    ]);
    return work({ tx, schoolId: who.schoolId, accountId: who.accountId });
  });
}
