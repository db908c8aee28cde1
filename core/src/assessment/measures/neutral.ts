import { longest, REST, MOVING_MPS } from './over-samples';
import { deflection } from '../segment';
import { speedOver } from '../referee';
import { measure } from './measure';

/** Longest time that it moves with every stick at rest. */
export const neutral = measure({
  unit: 's',
  label: 'Longest without an order',
  missReason: 'off-the-mark',
  of: longest((_, __, s) => deflection(s) < REST && Math.abs(s.yaw) < REST && speedOver(s) > MOVING_MPS),
});
