import { reasonShape } from '../schemas/fields';
import { command } from './command';

/** An entry made by mistake no longer counts; it stays on record. */
export const withdrawOccurrence = command({
  name: 'withdraw-occurrence',
  address: '/occurrences/:id/withdrawn',
  schema: reasonShape,
});
