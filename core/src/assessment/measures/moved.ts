import { greatest } from './over-samples';
import { measure } from './measure';

/** Farthest from where the part began, over the ground. */
export const moved = measure({
  unit: 'm',
  label: 'Carried off',
  missReason: 'too-late',
  of: greatest((segment, _, s) => Math.hypot(s.x - segment.samples[0]!.x, s.y - segment.samples[0]!.y)),
});
