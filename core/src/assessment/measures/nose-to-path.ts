import { greatest, noseToPathDeg } from './over-samples';
import { measure } from './measure';

/** Way of the nose against the way of the craft, once it moves. */
export const noseToPath = measure({
  unit: '°',
  label: 'Nose off the path',
  missReason: 'nose',
  of: greatest((_, __, s) => noseToPathDeg(s)),
});
