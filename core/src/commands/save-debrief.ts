import { type InferType, object } from 'yup';
import { DEBRIEF_STATES } from '../debrief/findings';
import { findingsShape } from '../schemas/debrief';
import { choice, instant, key, text, whole } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** `base` is the version that this one was made from, 0 for none; the keys are used where closing needs a new row. */
const debriefShape = object({
  base: whole('base-version', 0, 10_000),
  state: choice('state', DEBRIEF_STATES),
  reason: text('reason', 300),
  at: instant('time'),
  weaknessId: key('weakness'),
  moveId: key('move'),
  undoId: key('move-to-undo-with'),
  planId: key('plan'),
  findings: findingsShape,
}).noUnknown();
export type DebriefFields = InferType<typeof debriefShape>;

/** Saves a version of a debrief; closing one confirms its primary cause. */
export const saveDebrief = command(handles.saveDebrief, {
  schema: debriefShape,
});
