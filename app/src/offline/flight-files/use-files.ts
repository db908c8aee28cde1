import { useSyncExternalStore } from 'react';
import { FileQueue } from './file-queue';

/** The phone's one queue of flight files. */
export const fileQueue = new FileQueue();

export const useWaitingFiles = () => useSyncExternalStore(fileQueue.subscribe, fileQueue.files);
