import type { Roster } from '@skelby/core/pages/pages';
import { trainedNowBy } from '@skelby/core/people/trainers';
import { useState } from 'react';
import { useRoster } from '../../offline/overlay/use-roster';
import { useWho } from '../../shared/api/use-who';

/** Pilots that others train, and not this trainer. */
export const othersPilots = (
  { pilots, trainers }: Pick<Roster, 'pilots' | 'trainers'>,
  accountId: string,
): ReadonlySet<string> =>
  new Set(
    pilots
      .filter((pilot) => {
        const now = trainedNowBy(pilot, { trainers });
        return now.length > 0 && !now.some(({ id }) => id === accountId);
      })
      .map(({ id }) => id),
  );

const NONE: ReadonlySet<string> = new Set();

/** Whose pilots are shown: one's own at first, where some are others'. */
export function useMine() {
  const accountId = useWho()?.accountId;
  const roster = useRoster().data;
  const [shown, choose] = useState<'mine' | 'all'>('mine');
  const others = roster && accountId !== undefined ? othersPilots(roster, accountId) : NONE;
  return {
    hasChoice: others.size > 0,
    shown,
    choose,
    isShown: ({ pilotId }: { readonly pilotId: string }) => shown === 'all' || !others.has(pilotId),
  };
}
