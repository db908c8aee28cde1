import { array, type InferType, object } from 'yup';
import { fieldSaid } from '../schemas/field-said';
import { key, reason } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

const MOST_TRAINERS = 20;

const handOverShape = object({
  /** Empty: every trainer of the school. */
  trainerIds: array(key('trainer'))
    .defined(fieldSaid('field.pick-one', { label: 'trainer' }))
    .max(MOST_TRAINERS, fieldSaid('trainers.too-many', { most: MOST_TRAINERS })),
  reason: reason(),
}).noUnknown();
export type HandOverFields = InferType<typeof handOverShape>;

/** Says who trains a pilot from now on, and why that changes. */
export const handOver = command(handles.handOver, { schema: handOverShape });
