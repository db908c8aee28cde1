import { type InferType, object } from 'yup';
import { drillIds, instantIfAny, text } from '../schemas/fields';
import { command } from './command';
import * as handles from './handles';

/** When it was put in force; a phone of an older version does not say, and then it is when the server hears of it. */
const at = instantIfAny('time');
export const planShape = object({
  drillIds: drillIds('drills'),
  reason: text('reason', 300),
  at,
}).noUnknown();
export type PlanFields = InferType<typeof planShape>;

/** Puts a plan of drills in force; earlier ones stay in the history. */
export const changePlan = command(handles.changePlan, {
  schema: planShape,
});
