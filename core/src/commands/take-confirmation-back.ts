import { type InferType, object } from 'yup';
import { instant, key, reason } from '../schemas/fields';
import { command } from './command';

const unconfirmShape = object({ moveId: key('Move'), at: instant('Time'), reason: reason() }).noUnknown();
export type UnconfirmFields = InferType<typeof unconfirmShape>;

/** Takes the trainer's word on the cause back, and with it opens the debrief that gave it. */
export const takeConfirmationBack = command({
  name: 'take-confirmation-back',
  address: '/occurrences/:id/confirmation/taken-back',
  schema: unconfirmShape,
  stamp: 'at',
});
