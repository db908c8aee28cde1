import type { CauseId } from '@skelby/core/causes/causes';
import { confirmCause, takeConfirmationBack, withdrawOccurrence } from '@skelby/core/commands/handles';
import { entryOf } from '../outbox/commands';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { get } from '../../shared/api/client';
import type { OccurrenceOfPilot, PilotPage, TodayList } from '@skelby/core/pages/pages';
import { useDeliver } from '../outbox/use-deliver';
import { occurrenceOver } from './occurrence';
import { type OverlayOf, useOverlay } from './use-overlay';

export function useOccurrence(id: string) {
  const over = useCallback<OverlayOf<OccurrenceOfPilot>>(
    (kept, items) => occurrenceOver(kept, items, id),
    [id],
  );
  return useOverlay(
    useQuery({ queryKey: ['occurrence', id], queryFn: () => get<OccurrenceOfPilot>(`/occurrences/${id}`) }),
    over,
  );
}

/**
 * The key of the weakness that this pilot already has from this cause, as far as this phone knows; otherwise
 * the one given.
 */
export function useWeaknessKey(pilotId: string) {
  const client = useQueryClient();
  return (causeId: CauseId, otherwise: string): string => {
    const all = [
      ...(client.getQueryData<PilotPage>(['pilot', pilotId])?.weaknesses ?? []),
      ...(client.getQueryData<TodayList>(['today'])?.weaknesses ?? []).filter(
        (each) => each.pilotId === pilotId,
      ),
    ];
    return all.find((each) => each.causeId === causeId)?.id ?? otherwise;
  };
}

/** Confirms a cause. Its keys are made once, so that trying again changes nothing. */
export function useConfirm({
  id,
  pilotId,
  pilotName,
}: Pick<OccurrenceOfPilot, 'id' | 'pilotId' | 'pilotName'>) {
  const keys = useRef({ weaknessId: uuid(), moveId: uuid(), planId: uuid() });
  const known = useWeaknessKey(pilotId);
  const weaknessOf = (causeId: CauseId) => known(causeId, keys.current.weaknessId);
  const confirm = useDeliver((causeId: CauseId) =>
    entryOf(
      confirmCause,
      { id },
      { ...keys.current, weaknessId: weaknessOf(causeId), causeId, at: new Date().toISOString() },
      `cause confirmed for ${pilotName}`,
    ),
  );
  return { confirm, weaknessOf };
}

export function useTakeConfirmationBack({ id, pilotName }: Pick<OccurrenceOfPilot, 'id' | 'pilotName'>) {
  return useDeliver((reason: string) =>
    entryOf(
      takeConfirmationBack,
      { id },
      { moveId: uuid(), at: new Date().toISOString(), reason },
      `confirmation taken back for ${pilotName}`,
    ),
  );
}

export function useWithdraw({ id, pilotName }: Pick<OccurrenceOfPilot, 'id' | 'pilotName'>) {
  return useDeliver((reason: string) =>
    entryOf(withdrawOccurrence, { id }, { reason }, `entry of ${pilotName} withdrawn`),
  );
}
