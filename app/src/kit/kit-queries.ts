import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { Flight, Roster } from '../api/types';

/** Pilots, craft and sites: everything a form picks from. */
export const useRoster = () => useQuery({ queryKey: ['roster'], queryFn: () => get<Roster>('/roster') });

export const useFlights = () => useQuery({ queryKey: ['flights'], queryFn: () => get<readonly Flight[]>('/flights') });

/** Writes something and lets every screen look again. */
export function useSave() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ path, body }: { path: string; body: unknown }) => put(path, body),
    onSuccess: () => { void client.invalidateQueries(); },
  });
}
