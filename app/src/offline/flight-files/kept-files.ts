import type { FlightFilesPage } from '@skelby/core/pages/flight-files';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, get } from '../../shared/api/client';
import { fileQueue } from './use-files';

const FILES = ['flight-files'];

/** What the school keeps, the newest first. */
export const useKeptFiles = () =>
  useQuery({
    queryKey: FILES,
    queryFn: () => get<FlightFilesPage>('/flight-files'),
    gcTime: 0,
  });

/** Takes one out for good. */
export function useRemoveFile() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask('DELETE', `/flight-files/${id}`),
    onSettled: () => client.invalidateQueries({ queryKey: FILES }),
  });
}

/** A file that is kept, or still on its way there. @throws NoConnection, ApiProblem */
export async function keptFile(id: string, name: string): Promise<File> {
  const waiting = fileQueue.files().find((file) => file.id === id);
  if (waiting) {
    const stream = waiting.packed.stream().pipeThrough(new DecompressionStream('gzip'));
    return new File([await new Response(stream).blob()], waiting.name);
  }
  return new File([await (await ask('GET', `/flight-files/${id}`)).blob()], name);
}
