import { useMemo, useSyncExternalStore } from 'react';
import { filesWaiting } from '../flight-files/files-waiting';
import { useWho } from '../../shared/api/use-who';
import { Outbox, type OutboxState } from './outbox';
import { isUnsent } from './waiting';

/** The phone's one outbox. */
export const outbox = new Outbox();

/**
 * What this trainer has done here; what another did on the same phone waits for their own sign-in and is only
 * counted.
 */
export function useOutbox(): OutboxState & { readonly others: number } {
  const state = useSyncExternalStore(outbox.subscribe, outbox.state);
  const accountId = useWho()?.accountId;
  return useMemo(() => {
    const own = state.items.filter((item) => item.accountId === accountId);
    return {
      ...state,
      items: own,
      others: state.items.filter((item) => item.accountId !== accountId && isUnsent(item)).length,
    };
  }, [state, accountId]);
}

/** How many entries and files a wiped phone would lose, whoever made them; null until the shelf has been looked at. */
export function useUnsent(): number | null {
  const { isRead, items, others } = useOutbox();
  return isRead ? items.filter(isUnsent).length + others + filesWaiting() : null;
}
