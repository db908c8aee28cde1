import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import { tellNearMiss } from '@skelby/core/commands/handles';
import type { Purpose } from '@skelby/core/clearance/facts';
import type { WeaknessState } from '@skelby/core/clearance/rungs';
import type { Side } from '@skelby/core/drills/drill';
import type { FlightMode, StickLayout } from '@skelby/core/vocabulary/flying';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { getAs, putAs } from '../../shared/api/client';
import { todayHere } from '../../shared/copy/dates';

export interface OwnPageData {
  readonly pilot: { readonly name: string; readonly stickLayout: StickLayout; readonly mode: FlightMode };
  readonly schoolName: string;
  readonly weaknesses: readonly {
    readonly causeId: CauseId;
    readonly state: WeaknessState;
    readonly rungs: readonly number[];
    readonly checkFrom: string | null;
    readonly checkPassed: boolean;
    readonly drillIds: readonly DrillId[] | null;
  }[];
  readonly flown: readonly { readonly day: string; readonly reps: number; readonly met: number }[];
  readonly session: {
    readonly day: string;
    readonly startsAt: string;
    readonly siteName: string | null;
    readonly blocks: readonly {
      readonly drillId: DrillId;
      readonly side: Side | null;
      readonly purpose: Purpose;
      readonly reps: number;
    }[];
  } | null;
}

export const useOwnPage = (token: string) =>
  useQuery({
    queryKey: ['own', token.slice(0, 8)],
    queryFn: () => getAs<OwnPageData>(token, '/own'),
    enabled: token !== '',
  });

/** Tells the trainer. The key is kept until it went through, so that a second try is the same telling. */
export function useTell(token: string) {
  const key = useRef(uuid());
  return useMutation({
    mutationFn: (told: { causeId: CauseId; note: string }) =>
      putAs(token, tellNearMiss.address.build({ id: key.current }), {
        ...told,
        happenedAt: new Date().toISOString(),
        day: todayHere(),
      }),
    onSuccess: () => {
      key.current = uuid();
    },
  });
}
