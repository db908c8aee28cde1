import { firstWhere, sinceStart, hasSmallSticks } from './over-samples';
import { measure } from './measure';

/** Share of the time with small sticks. */
export const smallShare = measure({
  unit: '%',
  label: 'Time with small sticks',
  missReason: 'off-the-mark',
  of: (cut) => ({
    value: cut.samples.filter(hasSmallSticks).length / Math.max(1, cut.samples.length),
    atS: firstWhere(cut, (s) => !hasSmallSticks(s))?.t ?? sinceStart(cut),
  }),
});
