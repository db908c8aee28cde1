import { usePathname } from 'expo-router';
import { useDraft } from './use-draft';

/**
 * State of a form that outlives a reload, a call and a killed tab: kept under the address of the page and a name on it,
 * until it is what it began as again.
 * @param part what of the page it is; a page that changes what it shows without changing its address says so here
 * @returns the value, what sets it, and what begins it anew
 */
export function useKeptState<T>(
  part: string,
  initial: T,
): readonly [value: T, set: (value: T) => void, begin: () => void] {
  const { draft, change, drop } = useDraft<{ readonly value: T }>({
    name: `page.${usePathname()}.${part}`,
    begin: () => ({ value: initial }),
  });
  const set = (value: T) => {
    if (JSON.stringify(value) === JSON.stringify(initial)) drop();
    else change({ value });
  };
  return [draft.value, set, drop];
}
