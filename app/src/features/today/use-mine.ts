import type { Roster } from '@skelby/core/pages/pages';
import { useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { useWho } from '../../shared/api/use-who';

/** Pilots of one trainer: those who have named no trainer are everybody's. */
export const isMine = (pilotId: string, { pilots }: Pick<Roster, 'pilots'>, accountId: string): boolean => {
  const { trainerIds = [] } = pilots.find(({ id }) => id === pilotId) ?? {};
  return trainerIds.length === 0 || trainerIds.includes(accountId);
};

/**
 * Whose pilots are shown. There is a choice where somebody's pilots are not everybody's; whoever has some of their own
 * begins with those.
 */
export function useMine() {
  const accountId = useWho()?.accountId;
  const roster = useRoster().data;
  const [chosen, choose] = useState<'mine' | 'all' | null>(null);
  const named = roster?.pilots.flatMap(({ trainerIds = [] }) => trainerIds) ?? [];
  const hasChoice = accountId !== undefined && named.length > 0;
  const shown = chosen ?? (accountId !== undefined && named.includes(accountId) ? 'mine' : 'all');
  return {
    hasChoice,
    shown,
    choose,
    isShown: ({ pilotId }: { readonly pilotId: string }) =>
      !hasChoice || shown === 'all' || !roster || isMine(pilotId, roster, accountId),
  };
}
