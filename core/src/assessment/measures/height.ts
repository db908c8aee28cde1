import { greatest } from './over-samples';
import { measure } from './measure';

/** Above or below the mark or the line. */
export const height = measure({
  unit: 'm',
  label: 'Height error',
  missReason: 'height',
  of: greatest((cut, i, s) => Math.abs(s.z - cut.offsets[i]!.nearest[2])),
});
