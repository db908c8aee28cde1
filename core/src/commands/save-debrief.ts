import { type InferType, object } from 'yup';
import { DEBRIEF_STATES } from '../debrief/findings';
import { findingsShape } from '../schemas/debrief';
import { choice, instant, key, text, whole } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** `base` is the version that this one was made from, 0 for none; the keys are used where closing needs a new row. */
const debriefShape = object({
  base: whole('Base version', 0, 10_000),
  state: choice('State', DEBRIEF_STATES),
  reason: text('Reason', 300),
  at: instant('Time'),
  weaknessId: key('Weakness'),
  moveId: key('Move'),
  undoId: key('Move to undo with'),
  planId: key('Plan'),
  findings: findingsShape,
}).noUnknown();
export type DebriefFields = InferType<typeof debriefShape>;

/** Saves a version of a debrief; closing one confirms its primary cause. */
export const saveDebrief = command(handles.saveDebrief, {
  schema: debriefShape,
});
