import { useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useCallback, useMemo, useRef, useSyncExternalStore } from 'react';
import { useOutbox } from '../outbox/use-outbox';
import type { Waiting } from '../outbox/waiting';
import { useIsArithmeticSettled } from './arithmetic';
import { type Kept, keptBy } from './kept';

/** Makes what is shown out of what this phone has read and done; undefined where neither tells enough. */
export type OverlayOf<T> = (kept: Kept, items: readonly Waiting[]) => T | undefined;

/** Counts what is read, while something waits that other pages have a say in. */
function useReads(isWanted: boolean): number {
  const cache = useQueryClient().getQueryCache();
  const count = useRef(0);
  const subscribe = useCallback(
    (tell: () => void) =>
      isWanted
        ? cache.subscribe(({ type }) => {
            if (type !== 'updated') return;
            count.current += 1;
            tell();
          })
        : () => {},
    [cache, isWanted],
  );
  return useSyncExternalStore(subscribe, () => count.current);
}

/**
 * What was read, with what has been done here since: a page looks the same whether the server has heard of it
 * yet or not. The only way to a page.
 * @param over keep it stable
 * @param worksOut whether it works weaknesses out, and so waits for the arithmetic
 */
export function useOverlay<T>(
  query: UseQueryResult<T>,
  over: OverlayOf<T>,
  worksOut = false,
): UseQueryResult<T> {
  const client = useQueryClient();
  const { items } = useOutbox();
  const reads = useReads(items.length > 0);
  const isSettled = useIsArithmeticSettled() || !worksOut;
  const { data: read } = query;
  const data = useMemo(
    () => {
      if (items.length === 0) return read;
      // Rather a moment of nothing than a moment of what is no longer so.
      return isSettled ? over(keptBy(client), items) : undefined;
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what other pages hold is read through the client: `reads` says when it has changed
    [client, over, items, read, reads, isSettled],
  );
  return data === read ? query : ({ ...query, data } as UseQueryResult<T>);
}
