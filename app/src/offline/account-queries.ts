import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiProblem, get, post } from '../shared/api/client';
import type { Me } from '@skelby/core/pages/pages';
import { outbox } from './outbox/use-outbox';
import { wipeQueries } from './prefetch/kept-queries';
import { forget, forgetAll, keep, kept } from '../shared/storage/storage';

const ME = 'me';

/** Who is signed in: null when nobody is. Without signal, whoever was. */
export function useMe() {
  return useQuery({
    queryKey: [ME],
    queryFn: async (): Promise<Me | null> => {
      try {
        const me = await get<Me>('/me');
        keep(ME, me);
        return me;
      } catch (error) {
        if (error instanceof ApiProblem && error.status === 401) {
          forget(ME);
          return null;
        }
        const last = kept<Me>(ME);
        if (last) return last;
        throw error;
      }
    },
    staleTime: 60_000,
  });
}

export function useSignIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (fields: { email: string; password: string }) => post('/sign-in', fields),
    onSuccess: () => {
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== ME });
      return client.resetQueries({ queryKey: [ME] });
    },
  });
}

export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => post('/sign-out'),
    onSuccess: async () => {
      outbox.use(null);
      forgetAll();
      await Promise.all([outbox.wipe(), wipeQueries()]);
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== ME });
      client.setQueryData([ME], null);
    },
  });
}
