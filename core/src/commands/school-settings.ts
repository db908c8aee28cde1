import { switchShape } from '../schemas/ranking';
import { unitsShape } from '../schemas/records';
import { command } from './command';

/** What is set at a desk, and never waits for signal. */
export const setUnits = command({ name: 'set-units', address: '/school/units', schema: unitsShape });
export const switchExperience = command({
  name: 'switch-experience',
  address: '/experience',
  schema: switchShape,
});
