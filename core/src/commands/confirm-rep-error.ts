import { reasonShape } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** A second person says that a miss that was taken back was no attempt: until then it counts. */
export const confirmRepError = command(handles.confirmRepError, {
  schema: reasonShape,
});
