import { reasonShape } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** An entry made by mistake no longer counts; it stays on record. */
export const withdrawOccurrence = command(handles.withdrawOccurrence, {
  schema: reasonShape,
});
