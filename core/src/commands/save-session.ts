import { sessionShape } from '../schemas/session';
import { command } from './command';

/** Saves a training session as it stands: planned, running or done. */
export const saveSession = command({
  name: 'save-session',
  address: '/sessions/:id',
  schema: sessionShape,
});
