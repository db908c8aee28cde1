import type { PilotPortalPage } from '@skelby/core/pages/portal';
import type { CauseId } from '@skelby/core/causes/causes';
import type { MissReason } from '@skelby/core/clearance/facts';
import { sayOfWeakness, tellNearMiss } from '@skelby/core/commands/handles';
import type { Says } from '@skelby/core/commands/of-a-pilot';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { getAs, putAs } from '../../shared/api/client';
import { todayHere } from '../../shared/copy/dates';
import { whoseBy } from '../outbox/own-outbox';

const ownKey = (token: string) => ['own', whoseBy(token)];

export const useOwnPage = (token: string) =>
  useQuery({
    queryKey: ownKey(token),
    queryFn: () => getAs<PilotPortalPage>(token, '/own'),
    enabled: token !== '',
  });

/** Tells the trainer. The key is kept until it went through, so that a second try is the same telling. */
export function useTell(token: string) {
  const key = useRef(uuid());
  return useMutation({
    mutationFn: (told: { causeId: CauseId; note: string; seen: readonly MissReason[] }) =>
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

/** Says something of a weakness of one's own; a second try of the same is the same saying. */
export function useSay(token: string) {
  const client = useQueryClient();
  const key = useRef(uuid());
  return useMutation({
    mutationFn: (said: { readonly weaknessId: string; readonly says: Says; readonly words: string }) =>
      putAs(token, sayOfWeakness.address.build({ id: key.current }), {
        ...said,
        at: new Date().toISOString(),
      }),
    onSuccess: () => {
      key.current = uuid();
      return client.invalidateQueries({ queryKey: ownKey(token) });
    },
  });
}
