import { openBook } from '@skelby/core/drills/school-book';
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

/**
 * Opens the school's book of drills for every screen.
 * @returns changes whenever the book does: screens below are then drawn anew
 */
export function useBook(): string {
  const { data } = useDrillVersions();
  return useMemo(() => {
    const latest = new Map<string, SchoolDrillVersion>();
    for (const version of data ?? [])
      if ((latest.get(version.drillId)?.number ?? 0) < version.number) latest.set(version.drillId, version);
    openBook([...latest.values()]);
    return [...latest.values()].map((version) => `${version.drillId} ${version.number}`).join();
  }, [data]);
}
