import { percent } from '@skelby/core/vocabulary/percent';
import { MEASURES } from '@skelby/core/assessment/measures/measures';
import type { ScoredValue } from '@skelby/core/assessment/score';
import { useUnits } from '../api/use-units';

const round = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits;

/** A measured value in the school's units. */
export function useSayMeasure() {
  const { say } = useUnits();
  return ({ of }: Pick<ScoredValue, 'of'>, value: number): string => {
    const { unit } = MEASURES[of];
    if (unit === 'm' || unit === 'm/s') return say(round(value, 2), unit);
    if (unit === '%') return percent(value);
    if (unit === '°') return `${Math.round(value)}°`;
    if (unit === 's') return `${round(value, 1)} s`;
    if (unit === 'yes') return value >= 1 ? 'yes' : 'no';
    return `${round(value, 2)}`;
  };
}
