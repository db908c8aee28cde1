import { atEnd, sinceStart } from './over-samples';
import { measure } from './measure';

/** How long the part took. */
export const lasted = measure({
  unit: 's',
  label: 'Took',
  missReason: 'too-late',
  of: atEnd((segment, s) => s.t - sinceStart(segment)),
});
