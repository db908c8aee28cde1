import type { PilotPortalPage } from '@skelby/core/pages/pages';
import type { CauseId } from '@skelby/core/causes/causes';
import { tellNearMiss } from '@skelby/core/commands/handles';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { getAs, putAs } from '../../shared/api/client';
import { todayHere } from '../../shared/copy/dates';

export const useOwnPage = (token: string) =>
  useQuery({
    queryKey: ['own', token.slice(0, 8)],
    queryFn: () => getAs<PilotPortalPage>(token, '/own'),
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
