import type { InsightsPage } from '@skelby/core/pages/insights';
import type { SignsPage } from '@skelby/core/pages/signs';
import { useQuery } from '@tanstack/react-query';
import { get } from '../shared/api/client';

/** What the school can be told of itself over so many months. */
export const useInsights = (months: number) =>
  useQuery({
    queryKey: ['insights', months],
    queryFn: () => get<InsightsPage>(`/insights?months=${months}`),
    staleTime: 60_000,
  });

/** What early signs are looked for in. */
export const useSigns = () =>
  useQuery({ queryKey: ['signs'], queryFn: () => get<SignsPage>('/signs'), staleTime: 60_000 });
