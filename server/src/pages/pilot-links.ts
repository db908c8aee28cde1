import type { SchoolTx } from '../db/in-school';

/** Links of a pilot that still lead somewhere; never their tokens. */
export const linksOf = ({ tx }: SchoolTx, pilotId: string): Promise<unknown> =>
  tx('pilot_links')
    .where({ pilotId })
    .whereNull('revoked_at')
    .where('expires_at', '>', tx.fn.now())
    .orderBy('made_at', 'desc')
    .select(
      'id',
      'made_at',
      'expires_at',
      'last_used_at',
      'binds',
      'tells_when',
    ) as unknown as Promise<unknown>;
