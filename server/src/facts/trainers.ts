import { ROLES, may } from '@skelby/core/people/roles';
import type { Trainer } from '@skelby/core/pages/pages';
import type { SchoolTx } from '../db/in-school';

/** Whoever may train in the school now, by name. */
export const trainersOf = async ({ tx }: SchoolTx): Promise<readonly Trainer[]> =>
  (await tx('accounts')
    .whereIn(
      'role',
      ROLES.filter((role) => may(role, 'train')),
    )
    .whereNull('ended_at')
    .orderBy('name')
    .select('id', 'name')) as Trainer[];
