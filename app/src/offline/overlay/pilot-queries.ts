import type { PilotPage } from '@skelby/core/pages/pages';
import { useQuery } from '@tanstack/react-query';
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
