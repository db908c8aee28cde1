import { clear, createStore, del, entries, set } from 'idb-keyval';
import { orNothing } from './or-nothing';

/** Where the outbox outlives the page. */
export interface Shelf<T> {
  readonly all: () => Promise<readonly T[]>;
  /** @throws when the phone has no room for it */
  readonly put: (key: string, item: T) => Promise<void>;
  readonly drop: (key: string) => Promise<void>;
  readonly clear: () => Promise<void>;
}

/** A shelf in IndexedDB, in a database of its own. */
export function shelfIn<T>(name: string): Shelf<T> {
  // Opened when it is first used, so that merely loading this file asks nothing of the browser.
  let opened: ReturnType<typeof createStore> | undefined;
  const store = () => (opened ??= createStore(name, 'items'));
  return {
    all: () => orNothing(async () => (await entries<string, T>(store())).map(([, item]) => item), []),
    put: async (key, item) => set(key, item, store()),
    drop: (key) => orNothing(async () => del(key, store()), undefined),
    clear: () => orNothing(async () => clear(store()), undefined),
  };
}
