import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import { useQuery } from '@tanstack/react-query';
import { get } from '../../shared/api/client';

/** The rule by which a weakness opened now is cleared. It is changed at a desk, and never waits for signal. */
export const useRule = () =>
  useQuery({ queryKey: ['rule'], queryFn: () => get<ClearingRule>('/school/rule') });
