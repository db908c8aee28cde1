import { greatest, fromPilot } from './over-samples';
import { measure } from './measure';

/** Farthest from the pilot, over the ground. */
export const leadFar = measure({
  unit: 'm',
  label: 'Farthest from you',
  missReason: 'off-the-mark',
  of: greatest(fromPilot),
});
