import { least, fromPilot } from './over-samples';
import { measure } from './measure';

/** Nearest to the pilot, over the ground. */
export const leadNear = measure({
  unit: 'm',
  label: 'Nearest to you',
  missReason: 'off-the-mark',
  of: least(fromPilot),
});
