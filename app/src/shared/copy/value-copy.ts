import { recordedValueWords } from '@skelby/copy/recorded-values';
import type { DrillId } from '@skelby/core/drills/drills';
import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { sayQuantity, type Units } from '@skelby/core/vocabulary/units';

/** Values of a drill that are said in one line. */
const VALUES_SHOWN = 5;

/** A measured value of a rep in the school's units; null where none was measured. */
export function sayValue(drillId: DrillId, value: number | null | undefined, units: Units): string | null {
  const recorded = RECORDED_VALUES[drillId];
  return recorded && value !== null && value !== undefined ? sayQuantity(value, recorded.unit, units) : null;
}

/** The same with what it is: "overshoot 1.8 m". */
export function measuredWords(
  drillId: DrillId,
  value: number | null | undefined,
  units: Units,
): string | null {
  const said = sayValue(drillId, value, units);
  return said === null ? null : `${recordedValueWords(drillId)!.toLowerCase()} ${said}`;
}

interface Flown {
  readonly id: string;
  readonly met: boolean;
  readonly measure?: number | null;
  readonly takenBack: boolean;
}

/** Of reps that stand, those with a measured value, in the order they are given. */
export const valuesOf = (reps: readonly Flown[]) =>
  reps.flatMap(({ id, met, measure, takenBack }) =>
    typeof measure === 'number' && !takenBack ? [{ id, met, value: measure }] : [],
  );

/** Values of several reps, the newest first: "Overshoot, newest first: 1.8 m met, 3 m missed". */
export function valuesLine(
  drillId: DrillId,
  reps: readonly { readonly met: boolean; readonly value: number }[],
  units: Units,
): string | null {
  const recorded = RECORDED_VALUES[drillId];
  if (!recorded || reps.length === 0) return null;
  const said = reps
    .slice(0, VALUES_SHOWN)
    .map(({ met, value }) => `${sayValue(drillId, value, units)} ${met ? 'met' : 'missed'}`);
  return `${recordedValueWords(drillId)}${reps.length > 1 ? ', newest first' : ''}: ${said.join(', ')}`;
}
