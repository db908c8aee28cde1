import { type InferType, object } from 'yup';
import { choice, instant, quantity, reason, yesNoUsually } from '../schemas/fields';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { command } from './command';
import * as handles from './handles';

const stampShape = object({
  mode: choice('mode', FLIGHT_MODES),
  windLimitMps: quantity('wind-limit', 1, 20, 'm/s'),
  holdOff: yesNoUsually('hold-off-too', false),
  at: instant('time'),
  reason: reason(),
}).noUnknown();
export type StampFields = InferType<typeof stampShape>;

/**
 * What the pilot flies with now decides from here on. What was to be shown before stays, and what was gathered
 * begins again.
 */
export const stampWeakness = command(handles.stampWeakness, {
  schema: stampShape,
});
