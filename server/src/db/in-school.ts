import type { DrillId } from '@skelby/core/drills/drills';
import type { Role } from '@skelby/core/people/roles';
import { UUID } from '@skelby/core/vocabulary/key';
import type { Knex } from 'knex';
import { beginningWith } from './one-trip';
import { IDLE_MS, type Lane, rulesOf } from './connection';

/**
 * Work before anybody is known: row level security hides every row from it, and it may call the sign-in
 * functions only.
 */
export const NO_SCHOOL = '';

/**
 * Weaknesses to be worked out again: by their keys, and as those of a pilot for whom a drill decides, with the first of
 * what was flown.
 */
interface Deferred {
  readonly weaknesses: Set<string>;
  readonly drills: Map<
    string,
    { readonly pilotId: string; readonly drillId: DrillId; readonly flownAt: string }
  >;
}

/** One transaction for one school, and who acts in it. */
export interface SchoolTx {
  readonly tx: Knex.Transaction;
  readonly schoolId: string;
  readonly accountId: string | null;
  /** What whoever acts is in the school; absent: a tool, or the holder of a pilot's link. */
  readonly role?: Role;
  /** Name of the program that acts by a token of that account. */
  readonly program?: string;
  /** The phone that sends, where it says. */
  readonly phone?: string | null;
  /** In a batch: what is to be worked out again once, at its end. */
  readonly deferred?: Deferred;
}

const setting = (name: string, value: string): string => `set_config('${name}', '${value}', true)`;

/** Settings for the transaction alone, so that a pooler may hand its connection on. */
function settingsOf(schoolId: string, lane: Lane | undefined): string {
  if (schoolId !== NO_SCHOOL && !UUID.test(schoolId)) throw new Error('A school is known by its key.');
  return [
    setting('role', 'skelby_app'),
    setting('skelby.school', schoolId),
    ...(lane
      ? [
          setting('statement_timeout', `${lane.statementMs}ms`),
          setting('lock_timeout', `${lane.lockMs}ms`),
          setting('idle_in_transaction_session_timeout', `${IDLE_MS}ms`),
        ]
      : []),
  ].join(', ');
}

/**
 * The only way to the data. Opens a transaction as the database role that cannot bypass row-level
 * security, for one school: every row of another school is invisible to everything inside.
 * @throws Busy when the school has too much under way already
 */
export async function inSchool<T>(
  db: Knex,
  who: Pick<SchoolTx, 'schoolId' | 'accountId' | 'role' | 'program'>,
  work: (school: SchoolTx) => Promise<T>,
): Promise<T> {
  // What begins inside of another one begins without settings: as whoever has it open, in whatever school.
  if (db.isTransaction) throw new Error('A transaction is open already: go to the school within it.');
  const rules = rulesOf(db);
  const giveBack = who.schoolId === NO_SCHOOL ? undefined : await rules?.share.take(who.schoolId);
  try {
    const { schoolId, accountId, role, program } = who;
    return await db.transaction(
      (tx) => work({ tx, schoolId, accountId, ...(role ? { role } : {}), ...(program ? { program } : {}) }),
      beginningWith(`select ${settingsOf(schoolId, rules?.lane)}`),
    );
  } finally {
    giveBack?.();
  }
}

/** The same within a transaction that is open, which is afterwards in the hands and the school that it was in. */
export async function withinSchool<T>(
  tx: Knex.Transaction,
  { schoolId, accountId }: { readonly schoolId: string; readonly accountId: string },
  work: (school: SchoolTx) => Promise<T>,
): Promise<T> {
  const { rows } = (await tx.raw(
    "select current_setting('role') as role, coalesce(current_setting('skelby.school', true), '') as school",
  )) as { rows: [{ readonly role: string; readonly school: string }] };
  const [was] = rows;
  await tx.raw(`select ${settingsOf(schoolId, undefined)}`);
  const done = await work({ tx, schoolId, accountId });
  await tx.raw(`select ${setting('role', was.role)}, set_config('skelby.school', ?, true)`, [was.school]);
  return done;
}
