import type { Roster } from '@skelby/core/pages/pages';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../shared/api/client';
import { rosterOver } from './roster';
import { useOverlay } from './use-overlay';

/** Pilots, craft and sites: everything a form picks from. */
export const useRoster = () =>
  useOverlay(useQuery({ queryKey: ['roster'], queryFn: () => get<Roster>('/roster') }), rosterOver);
