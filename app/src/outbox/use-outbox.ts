import { useSyncExternalStore } from 'react';
import { Outbox, type Waiting } from './outbox';

/** The phone's one outbox. */
export const outbox = new Outbox();

export const useWaiting = (): readonly Waiting[] => useSyncExternalStore(outbox.subscribe, outbox.waiting);

/** Whether entries wait because nothing gets through, and not just because they were made this moment. */
export const useHeld = (): boolean => useSyncExternalStore(outbox.subscribe, outbox.held);
