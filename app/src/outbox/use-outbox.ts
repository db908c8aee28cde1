import { useSyncExternalStore } from 'react';
import { Outbox, type Waiting } from './outbox';

/** The phone's one outbox. */
export const outbox = new Outbox();

export const useWaiting = (): readonly Waiting[] => useSyncExternalStore(outbox.subscribe, outbox.waiting);
