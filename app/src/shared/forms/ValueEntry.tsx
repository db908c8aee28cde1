import { recordedValueWords } from '@skelby/copy/recorded-values';
import type { DrillId } from '@skelby/core/drills/drills';
import { RECORDED_VALUES } from '@skelby/core/assessment/recorded-value';
import { useState } from 'react';
import { useUnits } from '../api/use-units';
import { Stepper } from './Stepper';

/** In the SI unit of the value. */
const MOST = 500;

interface ValueEntryProps {
  readonly drillId: DrillId;
  /** SI. */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
}

/** The value of the rep that comes next, by tape or timer; nothing where its drill has none. */
export function ValueEntry({ drillId, value, onChange }: ValueEntryProps) {
  const { unit, from, to } = useUnits();
  const [isRefused, setRefused] = useState(false);
  const recorded = RECORDED_VALUES[drillId];
  if (!recorded) return null;
  const most = Math.round(from(MOST, recorded.unit));
  const take = (typed: number | null) => {
    const fits = typed === null || (typed >= 0 && typed <= most);
    setRefused(!fits);
    onChange(typed === null || !fits ? null : to(typed, recorded.unit));
  };
  return (
    <Stepper
      label={`${recordedValueWords(drillId)}, this rep`}
      unit={unit(recorded.unit)}
      value={value === null ? null : from(value, recorded.unit)}
      step={recorded.step}
      least={0}
      most={most}
      error={
        isRefused
          ? `${recordedValueWords(drillId)}: give a number from 0 to ${most} ${unit(recorded.unit)}, or leave it empty.`
          : undefined
      }
      onChange={take}
    />
  );
}
