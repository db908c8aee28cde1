import type { SchoolTx } from '../db/in-school';

/** Links of pilots that still lead somewhere; never their tokens. */
export const linksOf = ({ tx }: SchoolTx, pilotIds: readonly string[]) =>
  tx('pilot_links')
    .whereIn('pilotId', pilotIds)
    .whereNull('revoked_at')
    .where('expires_at', '>', tx.fn.now())
    .orderBy('made_at', 'desc')
    .select(
      'pilot_id',
      'id',
      'made_at',
      'expires_at',
      'last_used_at',
      'binds',
      'tells_when',
    ) as unknown as Promise<{ readonly pilotId: string }[]>;
