import { sinceStart } from './over-samples';
import { measure } from './measure';

/** Whether pilot-relative mode was on at all. */
export const relativeUsed = measure({
  unit: 'yes',
  label: 'Flown in pilot-relative mode',
  missReason: 'off-the-mark',
  of: (segment) => ({
    value: segment.samples.some((s) => s.relative === 1) ? 1 : 0,
    atS: sinceStart(segment),
  }),
});
