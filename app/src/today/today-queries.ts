import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { get } from '../api/client';
import type { TodayList } from '../api/types';
import { useRoster } from '../laid-over/use-roster';
import { useLaidOver } from '../outbox/use-outbox';
import type { Waiting } from '../outbox/waiting';
import { todayWith } from '../laid-over/today';

export function useToday() {
  const roster = useRoster().data;
  const lay = useCallback((list: TodayList | undefined, waiting: readonly Waiting[]) => todayWith(list, waiting, roster), [roster]);
  return useLaidOver(useQuery({ queryKey: ['today'], queryFn: () => get<TodayList>('/today') }), lay);
}
