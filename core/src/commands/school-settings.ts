import { switchShape } from '../schemas/ranking';
import { unitsShape } from '../schemas/records';
import { command } from './command';
import * as handles from './handles';

/** What is set at a desk, and never waits for signal. */
export const setUnits = command(handles.setUnits, { schema: unitsShape });
export const switchExperience = command(handles.switchExperience, {
  schema: switchShape,
});
