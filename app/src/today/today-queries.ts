import { useQuery } from '@tanstack/react-query';
import { get } from '../api/client';
import type { TodayList } from '../api/types';

export const useToday = () => useQuery({ queryKey: ['today'], queryFn: () => get<TodayList>('/today') });
