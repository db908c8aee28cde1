import { ROLES, may } from '@skelby/core/people/roles';
import type { Trainer } from '@skelby/core/pages/pages';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/** Whoever may train in the school now, by name. */
export const trainersOf = ({ tx }: SchoolTx): Promise<readonly Trainer[]> =>
  rowsOf<Trainer>(
    tx,
    tx('accounts')
      .whereIn(
        'role',
        ROLES.filter((role) => may(role, 'train')),
      )
      .whereNull('ended_at')
      .orderBy('name')
      .select('id', 'name'),
  );
