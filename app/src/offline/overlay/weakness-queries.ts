import { changePlan } from '@skelby/core/commands/change-plan';
import { moveWeakness } from '@skelby/core/commands/move-weakness';
import { entryOf } from '../outbox/commands';
import { type Clearance, clearanceOf } from '@skelby/core/clearance/clearance';
import type { WeaknessFacts } from '@skelby/core/clearance/facts';
import { keyDrillsOfPlan } from '@skelby/core/plan/propose-plan';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo } from 'react';
import { v7 as uuid } from 'uuid';
import { get } from '../../shared/api/client';
import type { RecordedRep, WeaknessPage } from '../../shared/api/types';
import { useRoster } from './use-roster';
import { useDeliver } from '../outbox/use-deliver';
import { useLaidOver } from '../outbox/use-outbox';
import type { Waiting } from '../outbox/waiting';
import { todayHere } from '../../shared/copy/dates';
import { keepStanding } from './standing';
import { around, weaknessWith } from './weakness';

export function useWeakness(id: string) {
  const client = useQueryClient();
  const roster = useRoster().data;
  const lay = useCallback(
    (page: WeaknessPage | undefined, waiting: readonly Waiting[]) =>
      weaknessWith(id, page, waiting, around(client, roster, waiting)),
    [id, client, roster],
  );
  return useLaidOver(
    useQuery({ queryKey: ['weakness', id], queryFn: () => get<WeaknessPage>(`/weaknesses/${id}`) }),
    lay,
  );
}

export interface WorkedOut {
  readonly facts: WeaknessFacts;
  readonly clearance: Clearance;
  readonly reps: readonly RecordedRep[];
  readonly drillIds: readonly string[];
}

/** Works the rungs out on the phone, with the same arithmetic as the server. */
export function useWorkedOut(page: WeaknessPage): WorkedOut {
  const client = useQueryClient();
  const worked = useMemo(() => {
    const drillIds = page.plans[0]?.drillIds ?? [];
    const facts: WeaknessFacts = {
      causeId: page.weakness.causeId,
      pilot: page.pilot,
      rule: page.rule,
      moves: page.moves,
      reps: page.reps,
      keyDrills: keyDrillsOfPlan(page.weakness.causeId, page.pilot.mode, drillIds),
      failedAt: page.weakness.failedAt,
    };
    return { facts, clearance: clearanceOf(facts), reps: page.reps, drillIds };
  }, [page]);
  const { clearance } = worked;
  useEffect(() => keepStanding(client, page.weakness.id, clearance), [client, page.weakness.id, clearance]);
  return worked;
}

interface MoveWanted {
  readonly kind: 'signed' | 'signed-early' | 'closed' | 'undone';
  readonly undoes?: string;
  readonly reason?: string;
}

/** Signs, closes or undoes. */
export const useMove = ({ weakness, pilot }: WeaknessPage) =>
  useDeliver(({ kind, undoes = undefined, reason = '' }: MoveWanted) =>
    entryOf(
      moveWeakness,
      { id: weakness.id, moveId: uuid() },
      { kind, undoes: undoes ?? null, reason, at: new Date().toISOString(), day: todayHere() },
      `${kind === 'undone' ? 'undoing' : kind === 'closed' ? 'closing' : 'signature'} for ${pilot.name}`,
    ),
  );

export const usePutPlan = ({ weakness, pilot }: WeaknessPage) =>
  useDeliver(({ drillIds, reason }: { drillIds: readonly string[]; reason: string }) =>
    entryOf(
      changePlan,
      { id: weakness.id, planId: uuid() },
      { drillIds: [...drillIds], reason },
      `plan of ${pilot.name}`,
    ),
  );
