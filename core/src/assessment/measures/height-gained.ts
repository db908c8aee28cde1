import { greatest } from './over-samples';
import { measure } from './measure';

/** Height gained since the part began. */
export const heightGained = measure({
  unit: 'm',
  label: 'Height gained',
  missReason: 'height',
  of: greatest((segment, _, s) => s.z - segment.samples[0]!.z),
});
