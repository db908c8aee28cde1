import type { ImportPage } from '@skelby/core/pages/imports';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { get, postFile, postFor } from '../shared/api/client';

const IMPORTS = ['imports'];
const LOOKS_EVERY_MS = 700;

export const goesOn = ({ state }: Pick<ImportPage, 'state'>): boolean =>
  state === 'waiting' || state === 'working';

/** Files on their way into the school, the newest first; looked at again while one of them goes on. */
export function useImports(mayBringIn: boolean) {
  const client = useQueryClient();
  const imports = useQuery({
    queryKey: IMPORTS,
    queryFn: () => get<readonly ImportPage[]>('/imports'),
    gcTime: 0,
    enabled: mayBringIn,
    refetchInterval: ({ state }) => (state.data?.some(goesOn) ? LOOKS_EVERY_MS : false),
  });
  // What has come in stands on many pages.
  const brought = imports.data?.filter(({ state }) => state === 'brought-in').length;
  const before = useRef(brought);
  useEffect(() => {
    const isNew = before.current !== undefined && brought !== undefined && brought > before.current;
    before.current = brought;
    if (isNew) void client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== IMPORTS[0] });
  }, [brought, client]);
  return imports;
}

const formatOf = (file: File): 'csv' | 'json' => (file.name.toLowerCase().endsWith('.json') ? 'json' : 'csv');

export function useImportActs() {
  const client = useQueryClient();
  const look = () => client.invalidateQueries({ queryKey: IMPORTS });
  return {
    /** Gives a file, which is looked over. */
    give: useMutation({
      mutationFn: (file: File) =>
        postFile<ImportPage>(`/imports?format=${formatOf(file)}&name=${encodeURIComponent(file.name)}`, file),
      onSettled: look,
    }),
    act: useMutation({
      mutationFn: ({ id, act }: { readonly id: string; readonly act: 'bring-in' | 'stop' }) =>
        postFor<ImportPage>(`/imports/${id}/${act}`, {}),
      onSettled: look,
    }),
  };
}
