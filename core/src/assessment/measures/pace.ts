import { atEnd } from './over-samples';
import { measure } from './measure';

/** Mean speed from where a part began to where it ended: whoever is told to stop was moving. */
export const pace = measure({
  unit: 'm/s',
  label: 'Pace before the call',
  missReason: 'too-late',
  of: atEnd((segment, s) => {
    const first = segment.samples[0]!;
    return Math.hypot(s.x - first.x, s.y - first.y) / Math.max(0.1, s.t - first.t);
  }),
});
