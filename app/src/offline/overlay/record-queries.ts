import type { AnyHandle, BodyOf, KeysOfCommand } from '@skelby/core/commands/command';
import { useMutation, useQuery, useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { get, put } from '../../shared/api/client';
import type { FlightsPage } from '@skelby/core/pages/older';
import type { Flight } from '@skelby/core/pages/pages';
import type { Entry } from '../outbox/commands';
import { flightsOver } from './roster';
import { useOverlay } from './use-overlay';
import { useDeliver } from '../outbox/use-deliver';

export const useFlights = () =>
  useOverlay(
    useQuery({ queryKey: ['flights'], queryFn: () => get<readonly Flight[]>('/flights') }),
    flightsOver,
  );

/** Flights before the last one given, of everybody or of one pilot; read when they are asked for. */
export const useOlderFlights = (last: string | undefined, pilotId: string | null) =>
  useInfiniteQuery({
    queryKey: ['older-flights', last, pilotId],
    enabled: false,
    initialPageParam: last,
    queryFn: ({ pageParam }) =>
      get<FlightsPage>(`/flights/older?before=${pageParam}${pilotId ? `&pilot=${pilotId}` : ''}`),
    getNextPageParam: ({ flights, hasMore }) => (hasMore ? flights.at(-1)?.id : null),
    gcTime: 0,
  });

/** Writes a record of the school. */
export const useSave = () => useDeliver((entry: Entry) => entry);

/** Does what is set at a desk, and never without signal; every screen looks again. */
export function useSaveNow<C extends AnyHandle>(command: C) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ keys, body }: { keys: KeysOfCommand<C>; body: BodyOf<C> }) =>
      put(command.address.build(keys), body),
    onSuccess: () => {
      void client.invalidateQueries();
    },
  });
}
