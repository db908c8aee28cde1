import { type Said, sentence } from '../vocabulary/said';

/** What is wrong with a field, as yup carries it: the sentence itself, for whoever shows it to put into words. */
export const asMessage = (said: Said): Record<PropertyKey, unknown> => ({ ...said });

export const fieldSaid = (...of: Parameters<typeof sentence>): Record<PropertyKey, unknown> =>
  asMessage(sentence(...of));
