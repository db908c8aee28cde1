import type { CauseId } from '@skelby/core/causes/causes';
import type { SearchPage } from '@skelby/core/pages/search';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { get } from '../shared/api/client';

/** What the school has of some words, and of causes whose names hold them. What was found last stays while it is looked for. */
export const useSearch = (q: string, causes: readonly CauseId[]) =>
  useQuery({
    queryKey: ['search', q],
    queryFn: () =>
      get<SearchPage>(
        `/search?q=${encodeURIComponent(q)}${causes.length > 0 ? `&causes=${causes.join(',')}` : ''}`,
      ),
    enabled: q !== '',
    placeholderData: keepPreviousData,
    staleTime: 30_000,
    retry: false,
  });
