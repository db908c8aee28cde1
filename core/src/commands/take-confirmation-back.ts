import { type InferType, object } from 'yup';
import { instant, key, reason } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

const unconfirmShape = object({ moveId: key('move'), at: instant('time'), reason: reason() }).noUnknown();
export type UnconfirmFields = InferType<typeof unconfirmShape>;

/** Takes the trainer's word on the cause back, and with it opens the debrief that gave it. */
export const takeConfirmationBack = command(handles.takeConfirmationBack, {
  schema: unconfirmShape,
});
