import type { Clearance } from '@skelby/core/clearance/clearance';
import type { QueryClient } from '@tanstack/react-query';
import type { WeaknessLine } from '../api/types';

/** Where a weakness stood when it was last worked out on this phone. */
export type Standing = Pick<WeaknessLine, 'state' | 'rungs' | 'checkFrom' | 'checkPassed'>;

const keyOf = (weaknessId: string) => ['standing', weaknessId] as const;

/** Lists say what the page of a weakness has worked out, and need not do it again. */
export function keepStanding(client: QueryClient, weaknessId: string, { state, rungs, watch, check }: Clearance): void {
  client.setQueryData<Standing>(keyOf(weaknessId), { state, rungs: rungs.map((rung) => rung.share), checkFrom: (watch?.next ?? check)?.from ?? null, checkPassed: check?.passed ?? false });
}

export const standingOf = (client: QueryClient, weaknessId: string): Standing | undefined => client.getQueryData<Standing>(keyOf(weaknessId));
