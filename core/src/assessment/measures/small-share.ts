import { firstWhere, sinceStart, hasSmallSticks } from './over-samples';
import { measure } from './measure';

/** Share of the time with small sticks. */
export const smallShare = measure({
  unit: '%',
  label: 'Time with small sticks',
  missReason: 'off-the-mark',
  of: (segment) => ({
    value: segment.samples.filter(hasSmallSticks).length / Math.max(1, segment.samples.length),
    atS: firstWhere(segment, (s) => !hasSmallSticks(s))?.t ?? sinceStart(segment),
  }),
});
