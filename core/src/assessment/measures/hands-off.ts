import { firstWhere, after } from './over-samples';
import { handsOff } from '../segment';
import { measure } from './measure';

/** Until all sticks are let go. */
export const handsOffTime = measure({
  unit: 's',
  label: 'Hands off after',
  missReason: 'too-late',
  of: (segment) => after(segment, firstWhere(segment, handsOff)),
});
