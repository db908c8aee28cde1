import { useQuery } from '@tanstack/react-query';
import { get } from '../../shared/api/client';
import type { PilotPage } from '../../shared/api/types';

export const usePilot = (id: string) =>
  useQuery({ queryKey: ['pilot', id], queryFn: () => get<PilotPage>(`/pilots/${id}`) });
