import { useQuery } from '@tanstack/react-query';
import { get } from '../../shared/api/client';
import type { Roster } from '../../shared/api/types';
import { useLaidOver } from '../outbox/use-outbox';
import { rosterWith } from './roster';

/** Pilots, craft and sites: everything a form picks from. */
export const useRoster = () =>
  useLaidOver(useQuery({ queryKey: ['roster'], queryFn: () => get<Roster>('/roster') }), rosterWith);
