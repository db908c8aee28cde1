import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { persistQueryClient } from '@tanstack/query-persist-client-core';
import type { DehydratedState, QueryClient } from '@tanstack/react-query';
import { clear, createStore, del, get, set } from 'idb-keyval';
import { orNothing } from '../../shared/storage/or-nothing';

/** What was read stays readable for so long without signal. */
export const KEPT_MS = 14 * 86_400_000;
/** Raised when what is kept changes its shape: older copies are then left alone and read anew. */
const SHAPE = '2';
const WRITE_EVERY_MS = 3_000;
/** Kept elsewhere, or of no use without signal and nobody's to find on a phone. */
const NOT_KEPT = [
  'me',
  'own',
  'people',
  'own-sessions',
  'other-schools',
  'own-second-factor',
  'retention',
  'invitation',
  'history',
  'earlier-reps',
  'older-occurrences',
  'older-flights',
  'to-debrief',
  'whole-weakness',
  'imports',
];

let opened: ReturnType<typeof createStore> | undefined;
const store = () => (opened ??= createStore('skelby-read', 'queries'));

const storage = {
  getItem: (key: string) => orNothing(async () => get<string>(key, store()), undefined),
  setItem: (key: string, value: string) => orNothing(async () => set(key, value, store()), undefined),
  removeItem: (key: string) => orNothing(async () => del(key, store()), undefined),
};

/** What was read stays good although a later try found no signal. */
const asRead = (query: DehydratedState['queries'][number]): DehydratedState['queries'][number] => ({
  ...query,
  state: {
    ...query.state,
    status: 'success',
    error: null,
    fetchFailureCount: 0,
    fetchFailureReason: null,
    errorUpdateCount: 0,
    errorUpdatedAt: 0,
    fetchStatus: 'idle',
  },
});

/**
 * Brings back what this phone had read, and keeps what it reads from now on. Who is signed in is kept
 * elsewhere.
 */
export function keepQueries(client: QueryClient): Promise<void> {
  const persister = createAsyncStoragePersister({
    storage,
    key: 'read',
    throttleTime: WRITE_EVERY_MS,
    serialize: (kept) =>
      JSON.stringify({
        ...kept,
        clientState: { ...kept.clientState, queries: kept.clientState.queries.map(asRead) },
      }),
  });
  const [, restored] = persistQueryClient({
    queryClient: client,
    persister,
    maxAge: KEPT_MS,
    buster: SHAPE,
    dehydrateOptions: {
      shouldDehydrateQuery: (query) =>
        query.state.data !== undefined && !NOT_KEPT.includes(String(query.queryKey[0])),
    },
  });
  return restored;
}

export const wipeQueries = (): Promise<void> => orNothing(async () => clear(store()), undefined);
