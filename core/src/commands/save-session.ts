import { sessionShape } from '../schemas/session';
import { command } from './command';
import * as handles from './handles';

/** Saves a training session as it stands: planned, running or done. */
export const saveSession = command(handles.saveSession, {
  schema: sessionShape,
});
