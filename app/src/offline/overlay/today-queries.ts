import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { get } from '../../shared/api/client';
import type { TodayList, TrainingSession } from '../../shared/api/types';
import { useRoster } from './use-roster';
import { useLaidOver } from '../outbox/use-outbox';
import type { Waiting } from '../outbox/waiting';
import { sessionsWith } from './sessions';
import { standingOf } from './standing';
import { todayHere } from '../../shared/copy/dates';
import { todayWith } from './today';

export function useToday() {
  const client = useQueryClient();
  const roster = useRoster().data;
  const lay = useCallback(
    (list: TodayList | undefined, waiting: readonly Waiting[]) =>
      todayWith(list, waiting, roster, (id) => standingOf(client, id)),
    [client, roster],
  );
  return useLaidOver(useQuery({ queryKey: ['today'], queryFn: () => get<TodayList>('/today') }), lay);
}

/** Sessions planned, running and lately flown. */
export const useSessions = () =>
  useLaidOver(
    useQuery({ queryKey: ['sessions'], queryFn: () => get<readonly TrainingSession[]>('/sessions') }),
    sessionsWith,
  );

/** The session that was planned for today and is not over; null when there is none. */
export const useSessionOfToday = (): TrainingSession | null =>
  useSessions().data?.find((each) => each.content.day === todayHere() && each.content.state !== 'done') ??
  null;
