// eslint-disable-next-line no-restricted-imports -- who is signed in is no page, and nothing waits to be laid over it
import { useQuery } from '@tanstack/react-query';
import type { Me } from '@skelby/core/pages/pages';

/** Who is signed in, for showing. Only looks: the frame has asked who is here before any page is shown. */
export const useWho = (): Me | null => useQuery<Me | null>({ queryKey: ['me'], enabled: false }).data ?? null;
