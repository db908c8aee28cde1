import type { PilotPage } from '@skelby/core/pages/pages';
import type { OccurrencesPage } from '@skelby/core/pages/older';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { get } from '../../shared/api/client';
import { pilotOver } from './pilot';
import { type OverlayOf, useOverlay } from './use-overlay';

export function usePilot(id: string) {
  const over = useCallback<OverlayOf<PilotPage>>((kept, items) => pilotOver(kept, items, id), [id]);
  return useOverlay(
    useQuery({ queryKey: ['pilot', id], queryFn: () => get<PilotPage>(`/pilots/${id}`) }),
    over,
    true,
  );
}

/** Occurrences that are not on a pilot's page, newest first, page after page. @param last on the page */
export const useOlderOccurrences = (pilotId: string, last: string | undefined) =>
  useInfiniteQuery({
    queryKey: ['older-occurrences', pilotId, last],
    enabled: false,
    initialPageParam: last,
    queryFn: ({ pageParam }) => get<OccurrencesPage>(`/pilots/${pilotId}/occurrences?before=${pageParam}`),
    getNextPageParam: ({ occurrences, hasMore }) => (hasMore ? occurrences.at(-1)?.id : null),
    gcTime: 0,
  });
