import { reversals } from './reversals';
import { comparison } from './measure';

/** Reversals a minute that need no bettering. Ours. */
const CALM = 12;

/** Reversals with the calmest expo over those with none; 0 where there is nothing to better. */
export const calmer = comparison({
  unit: '%',
  label: 'Reversals against no softening',
  missReason: 'off-the-mark',
  of: (segments) => {
    const plain = segments.filter((segment) => segment.stage.expo === 0).map(reversals)[0];
    const softened = segments.filter((segment) => (segment.stage.expo ?? 0) > 0).map(reversals);
    if (plain === undefined || softened.length === 0) return null;
    return { value: plain < CALM ? 0 : Math.min(...softened) / plain, atS: segments[0]!.samples[0]?.t ?? 0 };
  },
});
