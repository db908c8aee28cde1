import type { UseQueryResult } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { useWho } from '../../shared/api/use-who';
import { Outbox, type OutboxState } from './outbox';
import { isUnsent, notYetIn, type Waiting } from './waiting';

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

/**
 * What was read, with what has been done here since laid over it: a page looks the same whether the server
 * has heard of it yet or not.
 * @param lay makes what is shown out of what was read (undefined: nothing yet) and the changes not yet in it;
 *   keep it stable
 */
export function useLaidOver<T>(
  query: UseQueryResult<T>,
  lay: (read: T | undefined, waiting: readonly Waiting[]) => T | undefined,
): UseQueryResult<T> {
  const { items } = useOutbox();
  const { data: read, dataUpdatedAt } = query;
  const data = useMemo(() => lay(read, notYetIn(items, dataUpdatedAt)), [lay, read, items, dataUpdatedAt]);
  return data === read ? query : ({ ...query, data } as UseQueryResult<T>);
}
