import type { Drill } from '@skelby/core/drills/drill';
import { useUnits } from '../api/use-units';
import { Choice } from './Choice';

interface DistanceChoiceProps {
  readonly drill: Drill;
  /** As it is now, m. */
  readonly distanceM: number | null;
  readonly onChange: (distanceM: number) => void;
}

/** How far from the pilot a drill is flown, where it names more than one distance. */
export function DistanceChoice({ drill: { distancesM = [] }, distanceM, onChange }: DistanceChoiceProps) {
  const { sayM } = useUnits();
  if (distancesM.length < 2) return null;
  return (
    <Choice
      label="Distance from the pilot"
      value={distanceM}
      onChange={(metres) => metres !== null && onChange(metres)}
      options={[...distancesM]
        .sort((a, b) => a - b)
        .map((metres) => ({ value: metres, label: sayM(metres) }))}
    />
  );
}
