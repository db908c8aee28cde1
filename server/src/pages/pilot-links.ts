import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/** Links of pilots that still lead somewhere; never their tokens. */
export const linksOf = ({ tx }: SchoolTx, pilotIds: readonly string[]) =>
  rowsOf<{ readonly pilotId: string }>(
    tx,
    tx('pilot_links')
      .whereRaw('pilot_id = any(?::uuid[])', [[...pilotIds]])
      .whereNull('revoked_at')
      .where('expires_at', '>', tx.fn.now())
      .orderBy('made_at', 'desc')
      .select('pilot_id', 'id', 'made_at', 'expires_at', 'last_used_at', 'binds', 'tells_when'),
  );
