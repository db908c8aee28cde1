import { kept } from '../../shared/storage/storage';
import { shelfIn } from '../../shared/storage/shelf';

/** Flight files that wait for signal, as far as the first page has to know of them. */

export const FILES_SHELF = 'skelby-flight-files';
export const FILES_WAITING = 'flight-files';

/** How many wait on this phone. */
export const filesWaiting = (): number => kept<number>(FILES_WAITING) ?? 0;

export const wipeFiles = (): Promise<void> => shelfIn(FILES_SHELF).clear();
