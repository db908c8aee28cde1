import { notFound } from '../problem/problem';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

const DAYS_SHOWN = 30;

/** Sessions of the last weeks and those to come, newest first. */
export const recentSessions = ({ tx }: SchoolTx): Promise<unknown> =>
  rowsOf(
    tx,
    tx('training_sessions as s')
      .leftJoin('accounts as a', (on) => on.on('a.school_id', 's.school_id').andOn('a.id', 's.account_id'))
      .select('s.id', 's.content', 's.revision', 's.account_id', 'a.name as by')
      .where('s.day', '>', tx.raw('current_date - ?::int', [DAYS_SHOWN]))
      .orderBy([
        { column: 's.day', order: 'desc' },
        { column: 's.id', order: 'desc' },
      ]),
  );

/** One session, also one of long ago. */
export async function sessionOf({ tx }: SchoolTx, id: string): Promise<unknown> {
  const row = (await tx('training_sessions').where({ id }).first('id', 'content', 'revision')) as unknown;
  if (!row) throw notFound('session');
  return row;
}
