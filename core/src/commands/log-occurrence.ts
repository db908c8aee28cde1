import { occurrenceShape } from '../schemas/records';
import { command } from './command';

/** Logs a crash or near-miss, or corrects the one with this key. */
export const logOccurrence = command({
  name: 'log-occurrence',
  address: '/occurrences/:id',
  schema: occurrenceShape,
  stamp: 'happenedAt',
});
