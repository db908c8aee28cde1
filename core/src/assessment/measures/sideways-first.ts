import { firstWhere, sinceStart } from './over-samples';
import { deflection } from '../segment';
import { measure } from './measure';

/** Out of the column before the power came. */
export const sidewaysFirst = measure({
  unit: 'yes',
  label: 'Forward before power',
  missReason: 'wrong-first-move',
  of: (segment) => {
    const away = firstWhere(segment, (s) => deflection(s) > 0.2);
    const power = firstWhere(segment, (s) => s.throttle > 0.15);
    return { value: away && (!power || away.t <= power.t) ? 1 : 0, atS: power?.t ?? sinceStart(segment) };
  },
});
