import type { DrillId } from '@skelby/core/drills/drills';
import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { useUnits } from '../api/use-units';
import { Stepper } from './Stepper';

const MOST = 500;

/** The value of the rep that comes next, by tape or timer; nothing where its drill has none. */
export function ValueEntry({
  drillId,
  value,
  onChange,
}: {
  readonly drillId: DrillId;
  /** SI. */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
}) {
  const { unit, from, to } = useUnits();
  const recorded = RECORDED_VALUES[drillId];
  if (!recorded) return null;
  return (
    <Stepper
      label={`${recorded.label}, this rep`}
      unit={unit(recorded.unit)}
      value={value === null ? null : from(value, recorded.unit)}
      step={recorded.step}
      least={0}
      most={from(MOST, recorded.unit)}
      onChange={(typed) => onChange(typed === null ? null : to(typed, recorded.unit))}
    />
  );
}
