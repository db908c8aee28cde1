import type { Findings } from '@skelby/core/debrief/findings';
import { modelWith } from '@skelby/core/ranking/model';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { get, put } from '../api/client';
import type { DebriefPage, SchoolExperience } from '../api/types';

export const useDebrief = (occurrenceId: string) => useQuery({ queryKey: ['debrief', occurrenceId], queryFn: () => get<DebriefPage>(`/occurrences/${occurrenceId}/debrief`) });

/** One version of a debrief, as it was saved. */
export const useDebriefVersion = (occurrenceId: string, versionId: string | undefined) =>
  useQuery({ queryKey: ['debrief', occurrenceId, versionId], queryFn: () => get<NonNullable<DebriefPage['debrief']>>(`/occurrences/${occurrenceId}/debrief/${versionId}`), enabled: versionId !== undefined });

export const useExperience = () => useQuery({ queryKey: ['experience'], queryFn: () => get<SchoolExperience>('/experience') });

const STARTING = modelWith();

/** The weights to rank by: the school's own, once they are here and unless they are switched off. */
export function useModel() {
  const { data } = useExperience();
  return useMemo(() => (data?.enabled && data.lessons > 0 ? modelWith(data.counts) : STARTING), [data]);
}

export interface SaveKeys {
  readonly versionId: string;
  readonly weaknessId: string;
  readonly moveId: string;
  readonly undoId: string;
  readonly planId: string;
}

export interface ToSave {
  readonly base: number;
  readonly state: 'open' | 'closed';
  readonly reason: string;
  readonly findings: Findings;
  readonly keys: SaveKeys;
}

/** Saves a version. Its keys come with the draft, so that trying again after a dropped answer changes nothing. */
export function useSaveDebrief(occurrenceId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ keys: { versionId, ...keys }, ...version }: ToSave) =>
      (await put(`/occurrences/${occurrenceId}/debrief/${versionId}`, { ...version, ...keys, at: new Date().toISOString() })) as { number: number; weaknessId: string | null },
    onSuccess: () => { void client.invalidateQueries(); },
  });
}
