import { greatest } from './over-samples';
import { measure } from './measure';

/** Largest roll deflection. */
export const rollUsed = measure({
  unit: '%',
  label: 'Roll used',
  missReason: 'wrong-first-move',
  of: greatest((_, __, s) => Math.abs(s.roll)),
});
