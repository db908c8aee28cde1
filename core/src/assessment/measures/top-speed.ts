import { greatest } from './over-samples';
import { speedOver } from '../referee';
import { measure } from './measure';

/** Fastest over the ground. */
export const topSpeed = measure({
  unit: 'm/s',
  label: 'Fastest',
  missReason: 'too-fast',
  of: greatest((_, __, s) => speedOver(s)),
});
