import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { persistQueryClient } from '@tanstack/query-persist-client-core';
import type { QueryClient } from '@tanstack/react-query';
import { clear, createStore, del, get, set } from 'idb-keyval';

/** What was read stays readable for so long without signal. */
export const KEPT_MS = 14 * 86_400_000;
/** Raised when what is kept changes its shape: older copies are then left alone and read anew. */
const SHAPE = '1';
const WRITE_EVERY_MS = 3_000;

let opened: ReturnType<typeof createStore> | undefined;
const store = () => (opened ??= createStore('skelby-read', 'queries'));

const storage = {
  getItem: (key: string) => get<string>(key, store()),
  setItem: (key: string, value: string) => set(key, value, store()),
  removeItem: (key: string) => del(key, store()),
};

/** Brings back what this phone had read, and keeps what it reads from now on. Who is signed in is kept elsewhere. */
export function keepQueries(client: QueryClient): Promise<void> {
  const persister = createAsyncStoragePersister({ storage, key: 'read', throttleTime: WRITE_EVERY_MS });
  const [, restored] = persistQueryClient({
    queryClient: client, persister, maxAge: KEPT_MS, buster: SHAPE,
    dehydrateOptions: { shouldDehydrateQuery: (query) => query.state.status === 'success' && query.queryKey[0] !== 'me' && query.queryKey[0] !== 'own' },
  });
  return restored;
}

export const wipeQueries = (): Promise<void> => clear(store());
