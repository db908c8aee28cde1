import type { HistoryKind, HistoryPage } from '@skelby/core/pages/history';
import { useInfiniteQuery } from '@tanstack/react-query';
import { get } from '../../shared/api/client';

/** Who did what and when, newest first, page after page. It is read at a desk, and nothing of it is kept. */
export const useHistory = (kind: HistoryKind | null) =>
  useInfiniteQuery({
    queryKey: ['history', kind],
    initialPageParam: null as string | null,
    queryFn: ({ pageParam }) => get<HistoryPage>(`/history?${historySearch(kind, pageParam)}`),
    getNextPageParam: ({ entries, hasMore }) => (hasMore ? (entries.at(-1)?.id ?? null) : null),
    gcTime: 0,
  });

export const historySearch = (kind: HistoryKind | null, after: string | null): string =>
  new URLSearchParams({ ...(kind ? { kind } : {}), ...(after ? { after } : {}) }).toString();
