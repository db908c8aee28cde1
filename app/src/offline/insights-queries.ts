import type { InsightsPage } from '@skelby/core/pages/insights';
import { useQuery } from '@tanstack/react-query';
import { get } from '../shared/api/client';

/** What the school can be told of itself over so many months. */
export const useInsights = (months: number) =>
  useQuery({
    queryKey: ['insights', months],
    queryFn: () => get<InsightsPage>(`/insights?months=${months}`),
    staleTime: 60_000,
  });
