import type { Clearance } from '@skelby/core/clearance/clearance';
import { type InLists, inLists } from '@skelby/core/clearance/in-lists';
import type { QueryClient } from '@tanstack/react-query';

const keyOf = (weaknessId: string) => ['standing', weaknessId] as const;

/** Lists say what the page of a weakness has worked out, and need not do it again. */
export function keepStanding(client: QueryClient, weaknessId: string, clearance: Clearance): void {
  client.setQueryData<InLists>(keyOf(weaknessId), inLists(clearance));
}

/** Where a weakness stood when it was last worked out on this phone. */
export const standingOf = (client: QueryClient, weaknessId: string): InLists | undefined =>
  client.getQueryData<InLists>(keyOf(weaknessId));
