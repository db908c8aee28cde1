import { ROLES, may } from '@skelby/core/people/roles';
import type { Trainer } from '@skelby/core/pages/pages';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/** Roles that may train. */
export const WHO_TRAIN = ROLES.filter((role) => may(role, 'train'));

/** Whoever may train in the school now, by name. */
export const trainersOf = ({ tx }: SchoolTx): Promise<readonly Trainer[]> =>
  rowsOf<Trainer>(
    tx,
    tx('accounts').whereIn('role', WHO_TRAIN).whereNull('ended_at').orderBy('name').select('id', 'name'),
  );
