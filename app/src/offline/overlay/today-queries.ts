import type { TodayList, TrainingSession } from '@skelby/core/pages/pages';
import type { ToDebriefPage } from '@skelby/core/pages/older';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { get } from '../../shared/api/client';
import { todayHere } from '../../shared/copy/dates';
import { sessionsOver } from './sessions';
import { todayOver } from './today';
import { type OverlayOf, useOverlay } from './use-overlay';

export function useToday() {
  const day = todayHere();
  const over = useCallback<OverlayOf<TodayList>>((kept, items) => todayOver(kept, items, day), [day]);
  return useOverlay(useQuery({ queryKey: ['today'], queryFn: () => get<TodayList>('/today') }), over, true);
}

/** All that is to be debriefed, newest first, page after page. Nothing of it is kept. */
export const useToDebrief = (whose: 'mine' | 'all') =>
  useInfiniteQuery({
    queryKey: ['to-debrief', whose],
    initialPageParam: null as string | null,
    queryFn: ({ pageParam }) =>
      get<ToDebriefPage>(`/to-debrief?whose=${whose}${pageParam ? `&after=${pageParam}` : ''}`),
    getNextPageParam: ({ toDebrief, hasMore }) => (hasMore ? (toDebrief.at(-1)?.id ?? null) : null),
    gcTime: 0,
  });

/** Sessions planned, running and lately flown. */
export const useSessions = () =>
  useOverlay(
    useQuery({ queryKey: ['sessions'], queryFn: () => get<readonly TrainingSession[]>('/sessions') }),
    sessionsOver,
  );

/** The session that was planned for today and is not over; null when there is none. */
export const useSessionOfToday = (): TrainingSession | null =>
  useSessions().data?.find((each) => each.content.day === todayHere() && each.content.state !== 'done') ??
  null;
