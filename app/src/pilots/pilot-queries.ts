import { useQuery } from '@tanstack/react-query';
import { get } from '../api/client';
import type { PilotPage } from '../api/types';

export const usePilot = (id: string) =>
  useQuery({ queryKey: ['pilot', id], queryFn: () => get<PilotPage>(`/pilots/${id}`) });
