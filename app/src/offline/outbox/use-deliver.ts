import { useMutation } from '@tanstack/react-query';
import type { Outbox } from './outbox';
import { outbox } from './use-outbox';

/** How long a screen waits for the server's word before it goes on without. */
const WORD_WITHIN_MS = 2_500;

export type Delivery = Parameters<Outbox['deliver']>[0];

/**
 * Does something that the server is to carry out: at once with signal, later without. What the server refuses
 * at once is the mutation's error.
 */
export function useDeliver<T>(entryOf: (wanted: T) => Delivery, onDone?: () => void) {
  return useMutation({
    mutationFn: (wanted: T) => outbox.deliver(entryOf(wanted), WORD_WITHIN_MS),
    onSuccess: onDone,
  });
}
