import { greatest } from './over-samples';
import { measure } from './measure';

/** Farthest from where the part began, over the ground. */
export const moved = measure({
  unit: 'm',
  label: 'Carried off',
  missReason: 'too-late',
  of: greatest((cut, _, s) => Math.hypot(s.x - cut.samples[0]!.x, s.y - cut.samples[0]!.y)),
});
