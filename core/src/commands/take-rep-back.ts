import { reasonShape } from '../schemas/fields';
import { command } from './command';

/** A rep that was no fair attempt, or a slip of the thumb, no longer counts; it stays on record. */
export const takeRepBack = command({
  name: 'take-rep-back',
  address: '/reps/:id/taken-back',
  schema: reasonShape,
});
