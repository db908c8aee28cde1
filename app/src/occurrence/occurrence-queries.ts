import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { get, put } from '../api/client';
import type { OccurrenceOfPilot } from '../api/types';

export const useOccurrence = (id: string) => useQuery({ queryKey: ['occurrence', id], queryFn: () => get<OccurrenceOfPilot>(`/occurrences/${id}`) });

/** Confirms a cause. The keys are made once, so that trying again after a dropped answer changes nothing. */
export function useConfirm(id: string) {
  const client = useQueryClient();
  const keys = useRef({ weaknessId: uuid(), moveId: uuid(), planId: uuid() });
  return useMutation({
    mutationFn: async (causeId: string) => (await put(`/occurrences/${id}/confirmation`, { ...keys.current, causeId, at: new Date().toISOString() })) as { weaknessId: string },
    // Not waited for: the page that confirmed goes on to the weakness at once.
    onSuccess: () => { void client.invalidateQueries(); },
  });
}

export function useTakeConfirmationBack(id: string) {
  const client = useQueryClient();
  const moveId = useRef(uuid());
  return useMutation({
    mutationFn: (reason: string) => put(`/occurrences/${id}/confirmation/taken-back`, { moveId: moveId.current, at: new Date().toISOString(), reason }),
    onSuccess: () => { moveId.current = uuid(); return client.invalidateQueries(); },
  });
}

export function useWithdraw(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (reason: string) => put(`/occurrences/${id}/withdrawn`, { reason }),
    onSuccess: () => { void client.invalidateQueries(); },
  });
}
