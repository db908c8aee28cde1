import type { DrillId } from '@skelby/core/drills/drills';
import { changePlan, confirmRepError, moveWeakness, stampWeakness } from '@skelby/core/commands/handles';
import type { BodyOf } from '@skelby/core/commands/command';
import { entryOf } from '../outbox/commands';
import type { Clearance } from '@skelby/core/clearance/clearance';
import type { WeaknessFacts } from '@skelby/core/clearance/facts';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { v7 as uuid } from 'uuid';
import { get } from '../../shared/api/client';
import type { RecordedRep, WeaknessPage } from '@skelby/core/pages/pages';
import type { EarlierReps } from '@skelby/core/pages/older';
import { useDeliver } from '../outbox/use-deliver';
import { todayHere } from '../../shared/copy/dates';
import { clearanceOfPage, factsOfPage } from '@skelby/core/weakness/page';
import { type OverlayOf, useOverlay } from './use-overlay';
import { weaknessOver } from './weakness';

export function useWeakness(id: string) {
  const over = useCallback<OverlayOf<WeaknessPage>>((kept, items) => weaknessOver(kept, items, id), [id]);
  return useOverlay(
    useQuery({
      queryKey: ['weakness', id],
      queryFn: () => get<WeaknessPage>(`/weaknesses/${id}?reps=lately`),
    }),
    over,
    true,
  );
}

/** With every rep, for paper; only where the page itself has not all of them. */
export const useWholeWeakness = (id: string, wanted: boolean) =>
  useQuery({
    queryKey: ['whole-weakness', id],
    queryFn: () => get<WeaknessPage>(`/weaknesses/${id}`),
    enabled: wanted,
    gcTime: 0,
  });

/** Reps flown before those on the page, the last of them first. */
export const useEarlierReps = ({ weakness: { id }, shownFrom = null }: WeaknessPage) =>
  useInfiniteQuery({
    queryKey: ['earlier-reps', id, shownFrom],
    enabled: false,
    initialPageParam: shownFrom,
    queryFn: ({ pageParam }) => get<EarlierReps>(`/weaknesses/${id}/reps?before=${pageParam}`),
    getNextPageParam: (last) => (last.hasMore ? last.reps[0]!.flownAt : null),
    gcTime: 0,
  });

export interface WorkedOut {
  readonly facts: WeaknessFacts;
  readonly clearance: Clearance;
  readonly reps: readonly RecordedRep[];
  readonly drillIds: readonly DrillId[];
}

/** Works the rungs out on the phone, with the same arithmetic as the server. */
export const useWorkedOut = (page: WeaknessPage): WorkedOut =>
  useMemo(() => {
    const facts = factsOfPage(page);
    const drillIds = page.plans[0]?.drillIds ?? [];
    return { facts, clearance: clearanceOfPage(page), reps: page.reps, drillIds };
  }, [page]);

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

/** Stamps what the pilot flies with now. */
export const useStampWeakness = ({ weakness, pilot }: WeaknessPage) =>
  useDeliver((wanted: Omit<BodyOf<typeof stampWeakness>, 'at'>) =>
    entryOf(
      stampWeakness,
      { id: weakness.id, stampId: uuid() },
      { ...wanted, at: new Date().toISOString() },
      `what ${pilot.name} is judged by`,
    ),
  );

/** Says as a second person that a miss that was taken back was none. */
export const useConfirmRepError = ({ pilot }: WeaknessPage) =>
  useDeliver(({ id, reason }: { readonly id: string; readonly reason: string }) =>
    entryOf(confirmRepError, { id }, { reason }, `slip in a rep of ${pilot.name}`),
  );

export const usePutPlan = ({ weakness, pilot }: WeaknessPage) =>
  useDeliver(({ drillIds, reason }: { drillIds: readonly DrillId[]; reason: string }) =>
    entryOf(
      changePlan,
      { id: weakness.id, planId: uuid() },
      { drillIds: [...drillIds], reason, at: new Date().toISOString() },
      `plan of ${pilot.name}`,
    ),
  );
