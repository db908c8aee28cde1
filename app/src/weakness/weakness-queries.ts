import { type Clearance, clearanceOf } from '@skelby/core/clearance/clearance';
import type { WeaknessFacts } from '@skelby/core/clearance/facts';
import { keyDrillsOfPlan } from '@skelby/core/plan/propose-plan';
import type { RepFields } from '@skelby/core/shapes/loop';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { get, put } from '../api/client';
import type { RecordedRep, WeaknessPage } from '../api/types';
import type { Waiting } from '../outbox/outbox';
import { useWaiting } from '../outbox/use-outbox';
import { today } from '../words/dates';

export const useWeakness = (id: string) => useQuery({ queryKey: ['weakness', id], queryFn: () => get<WeaknessPage>(`/weaknesses/${id}`) });

const REP = /^\/reps\/([^/]+)$/;
const TAKEN_BACK = /^\/reps\/([^/]+)\/taken-back$/;

/** The server's reps with what still waits on this phone laid over them. */
export function withWaiting(weaknessId: string, reps: readonly RecordedRep[], waiting: readonly Waiting[]): readonly RecordedRep[] {
  const taken = new Set<string>();
  const added: RecordedRep[] = [];
  const known = new Set(reps.map((rep) => rep.id));
  for (const item of waiting) {
    if (item.refused) continue;
    const back = TAKEN_BACK.exec(item.path)?.[1];
    if (back) taken.add(back);
    const id = REP.exec(item.path)?.[1];
    const fields = item.body as unknown as RepFields;
    if (id && fields.weaknessId === weaknessId && !known.has(id)) added.push({ ...fields, id, takenBack: false } as RecordedRep);
  }
  return [...reps, ...added].map((rep) => (taken.has(rep.id) ? { ...rep, takenBack: true } : rep));
}

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
    onSuccess: () => { key.current = uuid(); return client.invalidateQueries(); },
  });
}

export function usePutPlan(weaknessId: string) {
  const client = useQueryClient();
  const key = useRef(uuid());
  return useMutation({
    mutationFn: (plan: { drillIds: readonly string[]; reason: string }) => put(`/weaknesses/${weaknessId}/plans/${key.current}`, plan),
    onSuccess: () => { key.current = uuid(); return client.invalidateQueries(); },
  });
}
