import { useEffect, useRef } from 'react';

/** What of a choice takes keys: where one is chosen that one, else the first. */
const STOPS = '[tabindex="0"], input, a, button';

/**
 * Whoever is told that something is wrong goes on where it is: of several on a page, at the first.
 * @returns for what is marked as wrong, by `aria-invalid`
 */
export function useFocusWhereWrong<T>(error: string | undefined): React.RefObject<T | null> {
  const box = useRef<T>(null);
  const isWrong = error !== undefined && error !== '';
  useEffect(() => {
    const own = box.current as unknown as HTMLElement | null;
    if (!isWrong || !own || globalThis.document?.querySelector('[aria-invalid="true"]') !== own) return;
    const stop = own.matches('input, textarea') ? own : own.querySelector<HTMLElement>(STOPS);
    stop?.focus();
  }, [isWrong]);
  return box;
}
