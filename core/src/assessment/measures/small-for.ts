import { longest, hasSmallSticks } from './over-samples';
import { measure } from './measure';

/** Longest time with small sticks, without a break. */
export const smallFor = measure({
  unit: 's',
  label: 'Small sticks for',
  missReason: 'off-the-mark',
  of: longest((_, __, s) => hasSmallSticks(s)),
});
