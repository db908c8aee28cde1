import { greatest } from './over-samples';
import { noseError } from '../segment';
import { measure } from './measure';

/** Off the way that the nose should point. */
export const heading = measure({
  unit: '°',
  label: 'Nose off',
  missReason: 'nose',
  of: greatest((segment, i) => noseError(segment, i)),
});
