import { type InferType, object } from 'yup';
import { evidenceShape } from './evidence';
import { keyOrNone, line, quantity, whole } from './fields';

/** What a recorded flight answers of an entry's debrief, and which moment of which file that is. */
export const flownShape = object({
  /** What the file was called. */
  name: line('flight-file', 200),
  /** The file among those that the school keeps; null: it stayed where it was read. */
  fileId: keyOrNone('flight-file'),
  /** From the beginning of the file. */
  atS: quantity('moment', 0, 43_200, 's'),
  /** The edition of the readers that answered. */
  readers: whole('readers', 1, 1_000),
  evidence: evidenceShape.default({}),
}).noUnknown();
export type FlownAnswers = InferType<typeof flownShape>;
