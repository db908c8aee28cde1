import { saveDebrief } from '@skelby/core/commands/handles';
import { type DebriefFields } from '@skelby/core/commands/save-debrief';
import { entryOf } from '../outbox/commands';
import type { Findings } from '@skelby/core/debrief/findings';
import type { SaidAgainstDecided } from '@skelby/core/ranking/calibration';
import type { Experience } from '@skelby/core/ranking/experience';
import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { get } from '../../shared/api/client';
import type { DebriefPage, OccurrenceOfPilot, SchoolExperience } from '@skelby/core/pages/pages';
import { debriefOver } from './occurrence';
import { type OverlayOf, useOverlay } from './use-overlay';
import { useDeliver } from '../outbox/use-deliver';

export function useDebrief(occurrenceId: string) {
  const over = useCallback<OverlayOf<DebriefPage>>(
    (kept, items) => debriefOver(kept, items, occurrenceId),
    [occurrenceId],
  );
  return useOverlay(
    useQuery({
      queryKey: ['debrief', occurrenceId],
      queryFn: () => get<DebriefPage>(`/occurrences/${occurrenceId}/debrief`),
    }),
    over,
  );
}

/** One version of a debrief, as it was saved. */
export const useDebriefVersion = (occurrenceId: string, versionId: string | undefined) =>
  useQuery({
    queryKey: ['debrief', occurrenceId, versionId],
    queryFn: () =>
      get<NonNullable<DebriefPage['debrief']>>(`/occurrences/${occurrenceId}/debrief/${versionId}`),
    enabled: versionId !== undefined,
  });

export const useExperience = () =>
  useQuery({ queryKey: ['experience'], queryFn: () => get<SchoolExperience>('/experience') });

/** Asked for when somebody wants to see it: every debrief is ranked anew for it. */
export const useCalibration = (isWanted: boolean) =>
  useQuery({
    queryKey: ['calibration'],
    queryFn: () => get<readonly SaidAgainstDecided[]>('/experience/calibration'),
    enabled: isWanted,
  });

/** The school's own lessons that it ranks by; null until they are here, and where they are switched off. */
export function useLessons(): Experience | null {
  const { data } = useExperience();
  return data?.enabled && data.lessons > 0 ? data.counts : null;
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

/** Saves a version. Its keys come with the draft, so that trying again changes nothing. */
export const useSaveDebrief = ({ id, pilotName }: Pick<OccurrenceOfPilot, 'id' | 'pilotName'>) =>
  useDeliver(({ keys: { versionId, ...keys }, ...version }: ToSave) =>
    entryOf(
      saveDebrief,
      { id, versionId },
      { ...version, ...keys, at: new Date().toISOString() } as DebriefFields,
      `debrief of ${pilotName}`,
    ),
  );
