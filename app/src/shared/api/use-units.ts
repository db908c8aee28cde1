import {
  fromSi,
  inUnits,
  sayQuantity,
  SI_UNITS,
  toSi,
  unitFor,
  type Units,
} from '@skelby/core/vocabulary/units';
import { useMemo } from 'react';
import { useWho } from './use-who';

export interface Speaking {
  readonly units: Units;
  /** The school's unit for a quantity in an SI unit. */
  readonly unit: (siUnit: string) => string;
  readonly from: (value: number, siUnit: string) => number;
  readonly to: (value: number, siUnit: string) => number;
  /** A quantity in words. */
  readonly say: (value: number, siUnit: string) => string;
  readonly sayM: (metres: number) => string;
  /** Fills the quantities that a sentence leaves open. */
  readonly sentence: (text: string) => string;
}

/** Reads and says quantities in the school's units. */
export function useUnits(): Speaking {
  const units = useWho()?.units ?? SI_UNITS;
  return useMemo(
    () => ({
      units,
      unit: (siUnit) => unitFor(siUnit, units),
      from: (value, siUnit) => fromSi(value, siUnit, units),
      to: (value, siUnit) => toSi(value, siUnit, units),
      say: (value, siUnit) => sayQuantity(value, siUnit, units),
      sayM: (metres) => sayQuantity(metres, 'm', units),
      sentence: (text) => inUnits(text, units),
    }),
    [units],
  );
}
