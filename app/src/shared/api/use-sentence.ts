import { said } from '@skelby/copy/say';
import type { Said } from '@skelby/core/vocabulary/said';
import { useMemo } from 'react';
import { useDrills } from './use-drills';
import { useUnits } from './use-units';

/** Puts what a rule decided into words: in the school's units, and with its own names for drills. */
export function useSentence(): (of: Said) => string {
  const { sentence } = useUnits();
  const { drillOf } = useDrills();
  return useMemo(() => (of: Said) => sentence(said(of, { drillOf })), [sentence, drillOf]);
}
