import { type InferType, object } from 'yup';
import { causeId, instant, key } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** The trainer's word on the cause. `weaknessId`, `moveId` and `planId` are used where a new row is needed. */
export const confirmShape = object({
  causeId: causeId('cause'),
  weaknessId: key('weakness'),
  moveId: key('move'),
  planId: key('plan'),
  at: instant('time'),
}).noUnknown();
export type ConfirmFields = InferType<typeof confirmShape>;

export const confirmCause = command(handles.confirmCause, {
  schema: confirmShape,
});
