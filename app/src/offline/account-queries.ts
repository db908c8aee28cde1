import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiProblem, get, NoConnection, post, tokenOfAccount } from '../shared/api/client';
import type { Me } from '@skelby/core/pages/pages';
import { wipeFiles } from './flight-files/files-waiting';
import { wipeOwn } from './outbox/own-outbox';
import { outbox } from './outbox/use-outbox';
import { wipeQueries } from './prefetch/kept-queries';
import { forget, forgetAll, keep, kept } from '../shared/storage/storage';

/** What the query of who is signed in is called. */
export const ME = 'me';

/** Takes everything of whoever was signed in off this device: what was read, what waits, what was begun. */
export async function wipeDevice(client: QueryClient): Promise<void> {
  outbox.use(null);
  const me = client.getQueryData<Me | null>([ME]) ?? kept<Me>(ME);
  if (me?.role === 'pilot') await wipeOwn(tokenOfAccount(me.accountId));
  forgetAll();
  await Promise.all([outbox.wipe(), wipeQueries(), wipeFiles()]);
  client.removeQueries({ predicate: (query) => query.queryKey[0] !== ME });
}

/** Signed out here without signal: the server is still to be told, before anybody is let in by what it remembers. */
const OWED = 'sign-out-owed';

/** @returns false while the server has still to be told */
async function paidOff(): Promise<boolean> {
  if (!kept<boolean>(OWED)) return true;
  try {
    await post('/sign-out');
  } catch (error) {
    // Who is not signed in any more need not be signed out.
    if (!(error instanceof ApiProblem && error.status === 401)) return false;
  }
  forget(OWED);
  return true;
}

/** Who is signed in: null when nobody is. Without signal, whoever was. */
export function useMe() {
  const client = useQueryClient();
  return useQuery({
    queryKey: [ME],
    queryFn: async (): Promise<Me | null> => {
      if (!(await paidOff())) return null;
      try {
        const me = await get<Me>('/me');
        keep(ME, me);
        return me;
      } catch (error) {
        if (error instanceof ApiProblem && error.status === 401) {
          if (error.clash.wipe) await wipeDevice(client);
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
    mutationFn: (fields: { email: string; password: string; code?: string; schoolId?: string }) =>
      post('/sign-in', fields),
    onSuccess: () => {
      forget(OWED);
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== ME });
      return client.resetQueries({ queryKey: [ME] });
    },
  });
}

export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (): Promise<{ readonly told: boolean }> => {
      try {
        await post('/sign-out');
        return { told: true };
      } catch (error) {
        if (error instanceof NoConnection) return { told: false };
        throw error;
      }
    },
    onSuccess: async ({ told }) => {
      await wipeDevice(client);
      if (!told) keep(OWED, true);
      client.setQueryData([ME], null);
    },
  });
}
