import type { applyToWeakness } from '@skelby/core/weakness/apply';
import { useSyncExternalStore } from 'react';
import { Listeners } from '../../shared/storage/listeners';

/**
 * What works a weakness out comes with the screens beyond Today, so that the first page need not wait for it.
 * It is asked for as soon as something waits on this phone, and lists wait for it then.
 */

interface Arithmetic {
  readonly applyToWeakness: typeof applyToWeakness;
}

let here: Arithmetic | 'not-to-be-had' | null = null;
const waiting = new Listeners();

/** @param given null where it could not be loaded: lists then show their lines as they were read */
export function provideArithmetic(given: Arithmetic | null): void {
  if (here !== null && here !== 'not-to-be-had') return;
  here = given ?? 'not-to-be-had';
  waiting.tell();
}

export const arithmetic = (): Arithmetic | null => (here === 'not-to-be-had' ? null : here);

/** Whether it is here, or known not to come. */
export const useIsArithmeticSettled = (): boolean =>
  useSyncExternalStore(waiting.subscribe, () => here !== null);
