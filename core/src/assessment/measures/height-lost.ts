import { greatest } from './over-samples';
import { measure } from './measure';

/** Height lost since the part began. */
export const heightLost = measure({
  unit: 'm',
  label: 'Height lost',
  missReason: 'height',
  of: greatest((segment, _, s) => segment.samples[0]!.z - s.z),
});
