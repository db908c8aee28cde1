import { occurrenceShape } from '../schemas/records';
import { command } from './command';
import * as handles from './handles';

/** Logs a crash or near-miss, or corrects the one with this key. */
export const logOccurrence = command(handles.logOccurrence, {
  schema: occurrenceShape,
});
