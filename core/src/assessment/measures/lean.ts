import { greatest } from './over-samples';
import { leanOf } from '../../geometry/rotation';
import { measure } from './measure';

/** Steepest lean from level. */
export const lean = measure({
  unit: '°',
  label: 'Steepest lean',
  missReason: 'too-fast',
  of: greatest((_, __, s) => leanOf(s)),
});
