import { greatest } from './over-samples';
import { measure } from './measure';

/** Above or below the mark or the line. */
export const height = measure({
  unit: 'm',
  label: 'Height error',
  missReason: 'height',
  of: greatest((segment, i, s) => Math.abs(s.z - segment.offsets[i]!.nearest[2])),
});
