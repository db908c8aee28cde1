import { longest } from './over-samples';
import { noseError } from '../segment';
import { measure } from './measure';

/** As the standard of walking behind it has it. Common practice. */
const TAIL_ON_DEG = 30;

/** Longest time with the nose as asked for within 30°, without a break. */
export const tailOnTime = measure({
  unit: 's',
  label: 'Tail-in for',
  missReason: 'nose',
  of: longest((segment, i) => noseError(segment, i) <= TAIL_ON_DEG),
});
