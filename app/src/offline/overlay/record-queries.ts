import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, put } from '../../shared/api/client';
import type { Flight } from '../../shared/api/types';
import { useDeliver } from '../outbox/use-deliver';

export const useFlights = () =>
  useQuery({ queryKey: ['flights'], queryFn: () => get<readonly Flight[]>('/flights') });

/** Writes a record of the school. */
export const useSave = () =>
  useDeliver(
    ({ path, body, what }: { path: string; body: Readonly<Record<string, unknown>>; what: string }) => ({
      path,
      body,
      what,
    }),
  );

/** Writes what is set at a desk, and never without signal; every screen looks again. */
export function useSaveNow() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ path, body }: { path: string; body: unknown }) => put(path, body),
    onSuccess: () => {
      void client.invalidateQueries();
    },
  });
}
