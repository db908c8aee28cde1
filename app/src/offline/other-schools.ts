import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { OtherSchool } from '@skelby/core/pages/people';
import { get, post } from '../shared/api/client';
import { ME, wipeDevice } from './account-queries';

/** The other schools where one's address signs in; none without signal. */
export const useOtherSchools = () =>
  useQuery({
    queryKey: ['other-schools'],
    queryFn: () => get<readonly OtherSchool[]>('/me/schools'),
    gcTime: 0,
  });

/** What sends this device elsewhere, and what it holds of the school before is wiped. */
function useGoing<T>(go: (fields: T) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: go,
    onSuccess: async () => {
      await wipeDevice(client);
      await client.resetQueries({ queryKey: [ME] });
    },
  });
}

/** Goes to another school: what this device holds of the one before is wiped first. */
export const useGoToSchool = () =>
  useGoing((fields: { readonly schoolId: string; readonly code?: string }) => post('/me/school', fields));

/** Goes into one's sandbox. */
export const useOpenSandbox = () => useGoing(() => post('/me/sandbox', { anew: false }));

/** Goes back to the own school. */
export const useLeaveSandbox = () => useGoing(() => post('/me/sandbox/left'));

/** Throws the sandbox that one is in away, and goes into a new one. */
export const useSandboxAnew = () =>
  useGoing(async () => {
    await post('/me/sandbox/left');
    await post('/me/sandbox', { anew: true });
  });
