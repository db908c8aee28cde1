import { type Clearance, clearanceOf } from '@skelby/core/clearance/clearance';
import type { WeaknessFacts } from '@skelby/core/clearance/facts';
import { keyDrillsOfPlan } from '@skelby/core/plan/propose-plan';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { get, put } from '../api/client';
import type { RecordedRep, WeaknessPage } from '../api/types';
import { useWaiting } from '../outbox/use-outbox';
import { today } from '../words/dates';
import { withWaiting } from './with-waiting';

export const useWeakness = (id: string) => useQuery({ queryKey: ['weakness', id], queryFn: () => get<WeaknessPage>(`/weaknesses/${id}`) });

export interface WorkedOut {
  readonly facts: WeaknessFacts;
  readonly clearance: Clearance;
  readonly reps: readonly RecordedRep[];
  readonly drillIds: readonly string[];
}

/** Works the rungs out on the phone, with the same arithmetic as the server. */
export function useWorkedOut(page: WeaknessPage): WorkedOut {
  const waiting = useWaiting();
  return useMemo(() => {
    const reps = withWaiting(page.weakness.id, page.reps, waiting);
    const drillIds = page.plans[0]?.drillIds ?? [];
    const facts: WeaknessFacts = {
      causeId: page.weakness.causeId, pilot: page.pilot, rule: page.rule, moves: page.moves, reps,
      keyDrills: keyDrillsOfPlan(page.weakness.causeId, page.pilot.mode, drillIds),
    };
    return { facts, clearance: clearanceOf(facts), reps, drillIds };
  }, [page, waiting]);
}

interface MoveWanted {
  readonly kind: 'signed' | 'signed-early' | 'closed' | 'undone';
  readonly undoes?: string;
  readonly reason?: string;
}

/** Signs, closes or undoes. The key is kept until it went through, so a second try is the same move. */
export function useMove(weaknessId: string) {
  const client = useQueryClient();
  const key = useRef(uuid());
  return useMutation({
    mutationFn: ({ kind, undoes = undefined, reason = '' }: MoveWanted) =>
      put(`/weaknesses/${weaknessId}/moves/${key.current}`, { kind, undoes: undoes ?? null, reason, at: new Date().toISOString(), day: today() }),
    onSuccess: () => { key.current = uuid(); void client.invalidateQueries(); },
  });
}

export function usePutPlan(weaknessId: string) {
  const client = useQueryClient();
  const key = useRef(uuid());
  return useMutation({
    mutationFn: (plan: { drillIds: readonly string[]; reason: string }) => put(`/weaknesses/${weaknessId}/plans/${key.current}`, plan),
    onSuccess: () => { key.current = uuid(); void client.invalidateQueries(); },
  });
}
