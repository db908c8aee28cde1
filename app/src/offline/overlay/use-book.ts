import { bookOf, type DrillBook } from '@skelby/copy/drill-book';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { get } from '../../shared/api/client';
import type { SchoolDrillVersion } from '@skelby/core/pages/pages';
import { useOverlay } from './use-overlay';
import { drillsOver } from './drills';

export const useDrillVersions = () =>
  useOverlay(
    useQuery({
      queryKey: ['drills'],
      queryFn: () => get<readonly SchoolDrillVersion[]>('/drills'),
      staleTime: 60_000,
    }),
    drillsOver,
  );

/** The school's book of drills, as this phone knows it. */
export function useBook(): DrillBook {
  const { data } = useDrillVersions();
  return useMemo(() => bookOf(data ?? []), [data]);
}
