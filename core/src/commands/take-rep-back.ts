import { reasonShape } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** A rep that was no fair attempt, or a slip of the thumb, no longer counts; it stays on record. */
export const takeRepBack = command(handles.takeRepBack, {
  schema: reasonShape,
});
